/** While the day is planned: as tall as what comes, so that nothing below jumps. */
export const DayWaits = () => <p className="min-h-[520px] py-2.5 text-ink-2">Planning the day …</p>
