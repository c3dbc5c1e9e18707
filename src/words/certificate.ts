import type { Certificate, CertifiedPicture, MeasuredHold } from '../core/certificate/certificate'
import { bothScales, formatQuantity, type System } from '../core/units/quantity'
import { INCIDENT_WORDS } from './incidents'
import { SUBJECT_NAMES } from './pictures'
import { plainStepTitle } from './run'
import { stageName } from './stages'

export const CERTIFICATE_METHOD =
  'Rockwell C after ISO 6508-1; 95 % uncertainty by the GUM method from scatter, block and resolution'

/** The soak as it was run, beside the plan; else as it was planned. */
const soakText = ({ soakedMin, route }: Pick<Certificate, 'soakedMin' | 'route'>): string =>
  soakedMin === null
    ? `${Math.round(route.soakMin)} min at heat planned, not recorded`
    : `${soakedMin.toFixed(1)} min at heat by the run’s clock, ${Math.round(route.soakMin)} min planned`

/** How long a blade was in the cold or in a temper, by what its runs confirmed, min; null where none did. */
function minutesIn(
  { happened }: Pick<Certificate, 'happened'>,
  where: 'cold' | 'temper',
  round?: number,
): number | null {
  const at = (way: 'in' | 'out') =>
    happened.find(
      ({ step }) => step.kind === `${where}-${way}` && (round === undefined || (step.names.round ?? 1) === round),
    )?.at
  const [from, to] = [at('in'), at('out')]
  return from !== undefined && to !== undefined ? (Date.parse(to) - Date.parse(from)) / 60_000 : null
}

/** Says a planned hold with its real length; or that nobody recorded it. */
const heldText = (plannedMin: number, realMin: number | null, isLogged: boolean): string =>
  realMin !== null
    ? `${plannedMin} min planned, ${Math.round(realMin)} min in all as run`
    : isLogged
      ? `${plannedMin} min planned`
      : `${plannedMin} min planned, not recorded`

/** An instant in the time of the shop, with its zone: '3 Mar 2026, 14:06 GMT'. */
const localTime = (instant: string, timeZone: string | undefined): string =>
  new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
    timeZoneName: 'short',
    timeZone,
  }).format(new Date(instant))

/** Lines of a certificate as they are printed: name and value; a name alone is a heading. Times in a zone, or that of the machine. */
export function certificateLines(
  c: Certificate,
  system: System,
  timeZone?: string,
): readonly (readonly [name: string, value: string])[] {
  const t = (celsius: number) => bothScales(celsius, system)
  const mm = (value: number) => formatQuantity(value, 'length', system)
  const logged = (hold: MeasuredHold | null | undefined) =>
    hold
      ? `; by the log ${hold.heldMin} min at it, ${formatQuantity(hold.meanC, 'temperature', system)} on the mean`
      : ''
  return [
    ['Blade', `${c.blade} of ${c.batch}, serial ${c.serial}`],
    ...(c.finished ? [] : ([['State', 'in work, not finished: figures may still change']] as const)),
    ['Steel', `${c.grade}${c.lot ? `, lot ${c.lot}` : ''}`],
    ['Size', `${mm(c.sizeMm.length)} x ${mm(c.sizeMm.width)} x ${mm(c.sizeMm.thickness)}`],
    ['Route', ''],
    ['Austenitized', `${t(c.route.austenitizeC)}, ${soakText(c)}, in ${c.oven}${logged(c.measured.heat)}`],
    [
      'Cold',
      c.route.cold ? `${t(c.route.cold.toC)}, ${heldText(c.route.cold.holdMin, minutesIn(c, 'cold'), false)}` : 'none',
    ],
    ...c.route.tempers.map(
      (temper, i) =>
        [
          `Temper ${i + 1}`,
          `${t(temper.atC)}, ${heldText(temper.holdMin, minutesIn(c, 'temper', i + 1), Boolean(c.measured.tempers[i]))}${logged(c.measured.tempers[i])}`,
        ] as const,
    ),
    ...(c.happened.length > 0
      ? ([
          ['As it happened', ''],
          ...c.happened.map(
            e =>
              [
                localTime(e.at, timeZone),
                `${plainStepTitle(e.step, c.blade, system)}${e.corrected ? ', time corrected by hand' : ''}`,
              ] as const,
          ),
          ...c.incidents.map(one => [localTime(one.at, timeZone), INCIDENT_WORDS[one.incident].name] as const),
        ] as const)
      : []),
    ['Hardness', ''],
    ...c.hardness.map(
      h =>
        [
          stageName(h.stage),
          `${h.hrc.toFixed(1)} HRC ± ${h.u95.toFixed(1)} (${h.readings.length === 0 ? 'by files' : `readings ${h.readings.join(', ')}`}${h.roundFace ? ', corrected for a round face' : ''}${h.corrected ? ', corrected by the block' : ''}${h.uncheckedTester ? '; tester not checked that day' : ''})`,
        ] as const,
    ),
    ...(c.hardness.length === 0 ? ([['', 'not measured']] as const) : []),
    [
      'Target',
      `${c.target.min} to ${c.target.max} HRC${c.inTargetProbability === null ? '' : `; chance that it is within target ${Math.round(100 * c.inTargetProbability)} %`}`,
    ],
  ]
}

/** Caption of a picture. */
export const pictureCaption = ({ of, note, at }: CertifiedPicture, timeZone?: string): string =>
  `${SUBJECT_NAMES[of]}, ${localTime(at, timeZone)}${note ? `: ${note}` : ''}`
