/** How a word that opens to more looks, before and after what it opens was fetched. */
export const OPENS_CLASS = 'link -my-3 min-h-touch shrink-0 px-1 text-note text-ink-2 hover:text-ink'
