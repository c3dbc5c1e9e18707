import type { Counted, Problem, ProblemCode, ProblemCodes, QuantityField, SkippedWhy } from '../core/codes/problem'
import { gradeNames } from '../core/steel/grades'
import { unitsOf } from '../core/units/quantity'
import { counted, listOf } from './lists'
import type { Speaker } from './speaker'

type Words<C extends ProblemCode> = (params: ProblemCodes[C], say: Speaker, path: string) => string

/** Examples that can be typed into a field, by its quantity. */
const EXAMPLES: Readonly<Record<QuantityField, string>> = {
  temperature: '“1065”, “1065 C” or “1950F”',
  length: '“3”, “2.5 mm”, “0.1 in” or “1/8in”',
  mass: '“2”, “1.5 kg” or “3 lb 4 oz”',
  duration: '“20”, “20 min”, “2 h” or “1h30”',
  power: '“3600” or “3.6 kW”',
  voltage: '“230” or “240 V”',
}

export const SKIPPED_WORDS: Readonly<Record<SkippedWhy, string>> = {
  break: 'with a broken thermocouple or no value',
  duplicate: 'with the stamp of the row before',
  backward: 'with a stamp before the last one',
  unreadable: 'that could not be read as time and temperature',
}

/** A type as a person says it, by its name in a schema. */
const TYPES: Readonly<Record<string, string>> = {
  int: 'a whole number',
  number: 'a number',
  string: 'a text',
  array: 'a list',
  object: 'an object',
  record: 'an object',
  boolean: 'true or false',
  tuple: 'a list',
}

/** A limit in the unit that the name of its field carries. */
function limit(value: number, counting: Counted, say: Speaker, path: string): string {
  if (counting === 'characters') return counted(value, 'character')
  if (counting === 'items') return counted(value, 'item')
  const field = path.split('.').at(-1) ?? ''
  const unit = /(?:[a-z](C|Mm|Kg|Min|K)|^(mm|hrc))$/.exec(field)
  switch (unit?.[1]) {
    case 'C':
      return say.t(value)
    case 'Mm':
      return say.length(value)
    case 'Kg':
      return say.mass(value)
    case 'Min':
      return say.minutes(value)
    case 'K':
      return say.d(value)
    default:
      return String(value)
  }
}

const EXPORT_AGAIN = 'Nothing was changed.'
const sheetOf = (p: { lengthMm: number; widthMm: number }, say: Speaker) =>
  `${say.length(p.lengthMm)} x ${say.length(p.widthMm)}`

/** Every problem as a sentence: what, where, what to do. */
export const PROBLEM_WORDS: { readonly [C in ProblemCode]: Words<C> } = {
  'too-big': (p, say, path) => `must be at most ${limit(p.most, p.counted, say, path)}`,
  'too-small': (p, say, path) => `must be at least ${limit(p.least, p.counted, say, path)}`,
  missing: () => 'is missing',
  'wrong-type': p => `must be ${TYPES[p.expected] ?? p.expected}`,
  'unknown-keys': p => `does not know ${listOf(p.keys)}`,
  'not-one-of': p => `must be one of ${p.values.join(', ')}`,
  malformed: () => 'is not in the form it must have',
  'steel-shape': () => `give {"grade": one of ${gradeNames().join(', ')}} or {"composition": {"C": wt%, …}}`,
  'foil-shape': () => 'give rollWidthMm, rotate and either envelope with blades, or pieces',
  'oven-shape': () => 'give {"preset": small, medium or large}, or powerW, chamberMm and build',
  'not-json': () => 'The request is not valid JSON in UTF-8.',
  'too-long': () => 'The request is longer than 1 MiB.',
  'unreadable-file': () => 'This file could not be read from the disk. Copy it here and choose it again.',
  'file-too-slow': p =>
    `This file took longer than ${p.seconds} s to read, and was left: nothing of it is stored. It is none of its kind, or far too large.`,
  'worker-failed': () => 'The calculation did not start. Load the page again.',
  'ids-not-apart': () => 'each group needs an id of its own',
  'bad-session': () => 'a session is 8 to 64 letters, digits, _ or -',
  'target-upside-down': () => 'the lower end of the target must be below the upper end',
  'more-than-the-whole': () => 'the alloying elements add up to so much that less than half would be iron',
  'least-above-most': () => 'the least of an element must not be above its most',
  'chart-not-rising': () => 'the chart’s temperatures must rise from row to row',
  'usual-outside-window': () => 'the usual temperature must lie between the least and the most',
  'most-below-least': () => 'the lower one must not be above the higher one',
  'not-a-serial-pattern': () =>
    'needs one place for the number, written with N: such as YY-NNN for 26-014. YY or YYYY stands for the year.',
  'a-step-too-many': p => `holds more than ${p.most} steps`,

  empty: p => `Type a value, such as ${EXAMPLES[p.field]}.`,
  'not-a-quantity': p => `“${p.text}” is not a value I can read. Try ${EXAMPLES[p.field]}.`,
  'several-numbers': p => `“${p.text}” holds more than one number. Type one value.`,
  'unknown-unit': p => `“${p.unit}” is not a unit for this field. It reads ${unitsOf(p.field).join(', ')}.`,
  'no-readings': () => 'Type one or more readings, such as 61 60.5 61.',
  'not-a-number': p =>
    p.meant === null ? `“${p.text}” is not a number.` : `“${p.text}” has a letter among the digits: type ${p.meant}?`,
  'implausible-hrc': p =>
    `${p.text} HRC cannot be: hardened steel reads ${p.minHrc} to ${p.maxHrc} HRC.${p.meantHrc === null ? '' : ` Did you mean ${p.meantHrc}?`}`,
  'readings-run-together': p =>
    `“${p.text}” can be read as ${p.ways.map(way => way.join(' ')).join(' or as ')}. Put a space between readings.`,

  'oven-gone': p =>
    p.ovenName === ''
      ? 'This batch has no oven. Choose one at the Heat bench.'
      : `The oven “${p.ovenName}” is no longer in the workshop. Choose another at the Heat bench: what is keyed depends on it.`,
  'tempering-oven-gone': () =>
    'The tempering oven is no longer in the workshop. Choose one there, or temper in the oven that hardens.',
  'grade-gone': p =>
    `${listOf(p.gradeNames)} ${p.gradeNames.length === 1 ? 'is' : 'are'} not known here. Choose a steel for those blades at the bench, or add the grade under Steels: what is keyed depends on it.`,
  'needs-oil': p =>
    `${listOf(p.gradeNames)} ${p.gradeNames.length === 1 ? 'does' : 'do'} not harden between plates: ${p.gradeNames.length === 1 ? 'it needs' : 'they need'} ${p.fast ? 'a fast quench oil' : 'a quench oil'}, and the workshop ${p.hasOil ? 'has a slower one' : 'has none'}. Enter the oil in the Workshop if there is one, or choose another steel.`,
  'mark-taken': p => `Another blade of this batch is marked ${p.mark}. Give one of them another mark.`,
  'too-many-lines': p => `A batch holds at most ${p.most} lines of blades. Split it into two.`,
  'nothing-in-load': () => 'There is no blade in this load. Enter its blades at Prepare.',
  'too-many-blades': p => `A batch holds at most ${p.most} blades. Split it into two.`,

  'not-a-picture': p =>
    `“${p.name}” cannot be read as a picture. Take a JPEG, PNG or WebP, or a photo straight from the camera.`,
  'picture-too-big': p =>
    `This picture has ${Math.round(p.mb)} MB; up to ${p.mostMb} MB are read. Make it smaller first, or take a new one.`,
  'storage-full': () =>
    'This browser’s storage is full, so the last change is not saved. It is still on this page. Free some space, then try again; or save everything to a file now.',
  'storage-newer': () =>
    'A newer Tawny Ember has brought the data in this browser further. This older one shows them and stores nothing, so that nothing is lost: start the newer one.',
  'storage-refused': () =>
    'This browser refuses to store data (a private window, or storage is blocked), so the last change is not saved. It is still on this page. Allow storage for this address, then try again; or save everything to a file now.',
  'back-up-not-allowed': p =>
    `The browser asks anew whether “${p.folder}” may be written to: press “Back up now” and allow it, for every visit if it offers that.`,
  'back-up-failed': p =>
    `The last back-up could not be written${p.what === '' ? '' : ` (${p.what})`}: is the disk there, and not full? Older back-ups are as they were.`,
  'back-up-differs': p =>
    `The last back-up, ${p.name}, could not be read back as it was written: do not trust that disk. Older back-ups are as they were.`,
  'writers-missing': () =>
    'This is not saved yet: what saves could not be fetched, because the server does not answer. Start it and load the page again; what you changed in a batch is kept and is saved then.',
  'save-failed': p =>
    `The last change could not be saved, by a fault of this program (${p.what}). Load the page anew and try again; if it happens once more, save everything to a file.`,
  'is-shared': () => 'This workshop is shared: leave it first, under Screens.',
  'only-shows': () => 'This screen only shows: make the change on another.',
  'hot-run-on': p =>
    `A hot run of ${p.name === '' ? 'a batch' : `“${p.name}”`} is going on and needs this. End the run first, then do it again.`,
  'run-goes-on': () => 'A run of this batch was begun in another tab: it goes on here.',

  'above-oven': (p, say) =>
    `${say.t(p.setC)} is above this oven’s ${say.t(p.ovenMaxC)}. Lower the soak, or choose another grade.`,
  'above-foil': (p, say) => `${say.t(p.atC)} is above what the foil stands, ${say.t(p.foilMaxC)}.`,
  'too-many-steps': p =>
    `This takes ${p.takes} steps and the controller holds ${p.holds}. Leave out a preheat, or key it in two programmes.`,
  'unknown-command': p =>
    `“${p.line}” is not a command of this controller. It knows ID?, READ?, PROG, STEP, RUN, STOP.`,
  'too-heavy': (p, say) => `${say.mass(p.kg)} of steel is too much for a bench oven. Check the sizes and counts.`,
  'log-too-short': () => 'This log is shorter than a quarter of an hour: log a whole heat, better with the cooling.',
  'log-without-legs': () =>
    'The oven neither heats nor cools in this log, so nothing can be learnt from it. Log a heat from cold at full power.',
  'log-held-to-a-rate': () =>
    'The climb is a straight line: it was held to a rate, so it shows the programme and not the oven. Log a climb at full power.',

  'too-hot-for-foil': (p, say) =>
    `No foil stands ${say.t(p.atC)}: type ${p.foil} ends at ${say.t(p.foilMaxC)}, less ${say.d(p.marginC)} for overshoot. Use an anti-scale coat, or inert gas.`,
  clearance: (p, say) =>
    `${say.length(p.givenMm)} at the ${p.where} cannot close over ${say.length(p.steelMm)} of steel: give at least ${say.length(p.leastMm)}.`,
  'too-many-sheets': p => `More than ${p.most} sheets in one plan: split the batch.`,
  'sheet-too-wide': (p, say) =>
    `A sheet of ${sheetOf(p, say)} does not fit a roll ${say.length(p.rollWidthMm)} wide${p.turned ? '' : ' without turning it'}.`,
  'sheet-too-long': (p, say) =>
    `A sheet of ${sheetOf(p, say)} is longer than the longest section of ${say.length(p.longestMm)}.`,

  'plates-cold': () => 'The plates had hardly warmed: read them later, or check where the thermometer sits.',
  'plates-too-hot': () =>
    'The plates are hotter than this blade can have made them: check its size, their size and the start.',
  'plates-warmer-after': () =>
    'The plates were warmer after cooling than before: the second reading comes after the blade is out.',
  'too-round': (p, say) => `A face rounder than ${say.length(p.narrowestMm)} across cannot be read: find a flat.`,
  'too-much-added': (p, say) =>
    `On a face ${say.length(p.diameterMm)} across ${p.addedHrc.toFixed(1)} HRC would have to be added, more than the ${p.mostHrc} that can be trusted: find a flat.`,
  'too-soft-for-round': p => `Below ${p.softestHrc} HRC a round face has no correction: find a flat.`,

  'file-not-json': () =>
    `This file is not readable: it is cut off, or not a workshop file. ${EXPORT_AGAIN} Export it again where it came from.`,
  'file-not-ours': () =>
    `This is not a workshop file of this application. ${EXPORT_AGAIN} Choose a file made by “Save everything”.`,
  'file-newer': p =>
    `This file was written by a newer version of the application (file version ${p.version}, this one reads ${p.known}). ${EXPORT_AGAIN} Update, then read it again.`,
  'id-twice': () => 'is the id of another row too',
  'time-impossible': p => `is a time before ${p.first} or after ${p.last}`,
  'file-broken': (p, say) =>
    `This file is damaged: ${p.found.map(found => `${found.path} ${problemWords(found, say)}`).join('; ')}${p.more > 0 ? `, and ${p.more} more` : ''}. ${EXPORT_AGAIN}`,
  'file-empty': () => 'This file is empty.',
  'drawing-too-large': p => `This drawing is larger than ${p.mostMegabytes} MB. Save the outline alone.`,
  'drawing-too-many-shapes': p => `This drawing has more than ${p.most} shapes. Save the outline alone.`,
  'drawing-unreadable': p =>
    p.kind === 'svg'
      ? 'This file is neither SVG nor DXF, or it is cut off. Choose a drawing saved as one of them.'
      : p.empty
        ? 'This DXF is empty.'
        : 'This DXF cannot be read: it is cut off, or binary. Save it as plain (ASCII) DXF.',
  'no-outline': () => 'No outline was found in this drawing. Draw the blade as one closed line, and save it again.',
  'outline-crosses-itself': (p, say) =>
    `The outline crosses itself ${say.length(p.xMm)} along and ${say.length(p.yMm)} across: mend the line there, and save it again.`,
  'log-too-few-rows': () => 'This file has fewer than five rows: it is not a log, or it was cut off.',
  'log-no-rows': () =>
    'No rows with a time and a temperature were found. Export the log as CSV with one sample a line, and choose that file.',
  'log-no-time': () => 'No column of times was found: dates, clock times, or seconds that rise from row to row.',
  'log-no-temperature': () => 'No column of temperatures was found beside the times.',
  'log-nothing-used': p =>
    `None of the ${p.rows} rows could be used: ${p.skipped.map(s => `${s.count} ${SKIPPED_WORDS[s.why]}`).join(', ') || 'they are empty'}. Choose another column or unit, or another file.`,
  'readings-columns': p =>
    `This file has no column ${p.missing.join(' and none ')}: its first line reads “${p.head.join(', ')}”. Name the columns blade, stage and HRC.`,
  'readings-nothing': (p, say) =>
    p.first ? `No row could be used. ${rowWords(p.first, say)}` : 'This file has no rows of readings.',
  'row-blade': p => `there is no blade “${p.blade}” in this batch.`,
  'row-two-blades': p => `two blades are marked “${p.mark}”: name it by its serial.`,
  'row-no-stage': p => `“${p.text}” is no stage: as quenched, cold, temper 1 …`,
  'row-stage-not-on-route': p => `${p.mark} has no stage “${p.text}” on its route.`,
  'code-too-large': p =>
    `This is more than a code holds (${p.bytes} of ${p.most} bytes). Take it along in a workshop file instead.`,
  'code-none': () => 'No code was found in it. Hold it straight, with all four corners and some white around it.',
  'no-camera': () =>
    'There is no camera to look through, or it was not allowed. Take a photo of the code and read it as a picture.',
  'code-foreign': () => 'This code is not one of a recipe or a blade.',
  'code-newer': () => 'This code was made by a newer version. Bring this one up to date first.',
  'code-broken': () => 'This code cannot be read whole. Show it anew, larger or brighter.',
  'records-empty': () =>
    'There is nothing in this file: a first line of headings and a line for each blade are needed.',
  'records-too-large': p => `This file is over ${p.mostMegabytes} MB: it is no list of blades. Part it by years.`,
  'records-too-long': p => `This file has ${p.rows} lines; up to ${p.most} are read. Part it by years.`,
  'records-nothing': (p, say) =>
    `No line of it is a blade.${p.first ? ` ${rowWords(p.first, say)}` : ''} Say which column holds what.`,
  'record-date': p => `“${p.text}” is no day: 2019-03-04, 4.3.2019 or 3/4/2019.`,
  'record-grade': p =>
    `“${p.text}” is no steel that is known here. Add it under Steels first, or write one of its names.`,
  'record-no-soak': p => `“${p.text}” is no temperature of a soak.`,
  'record-outside': p => `${p.value} in the column of ${p.field} cannot be. Look at the units.`,
  'row-value': p => `“${p.text}” is not a number.`,
  'row-implausible': p => `${p.hrc} HRC cannot be.`,
  'survey-reading': p => `“${p.text}” in row ${p.row} is not a temperature.`,
  'survey-outside': (p, say) => `“${p.text}” in row ${p.row} comes to ${say.t(p.atC)}: outside what an oven shows.`,
  'survey-empty': () => 'No reading was typed.',

  'sheet-no-name': () => 'Give it a name: any that you use for it.',
  'sheet-name-taken': p => `${p.name} is there already. Choose another name, such as “${p.name}, my supplier”.`,
  'sheet-not-a-number': p => `“${p.text}” is not a number.`,
  'sheet-negative': p => `${p.element} cannot be below zero.`,
  'sheet-least-above-most': p => `The least of ${p.element} is above its most.`,
  'sheet-below-least': p => `${p.value} % ${p.element} is below its least, ${p.least} %.`,
  'sheet-above-most': p => `${p.value} % ${p.element} is above its most, ${p.most} %.`,
  'sheet-over-whole': p =>
    `The elements add up to ${p.sum.toFixed(1)} %: more than the whole. Check for a missing decimal point.`,
  'sheet-hardly-iron': p => `The elements add up to ${p.sum.toFixed(1)} %: less than half of it would be iron.`,
  'sheet-no-carbon': () => 'Carbon is missing. Steel does not harden without it.',
  'sheet-carbon-outside': p => `${p.value} % carbon is outside ${p.least} to ${p.most} %.`,
  'sheet-outside': (p, say) => {
    const shown = p.dimension === 'temperature' ? say.t : say.minutes
    const other = p.other ? ` Did you mean ${p.other.text}, which is ${shown(p.other.value)}? Then type the unit.` : ''
    return `${shown(p.value)} is outside ${shown(p.least)} to ${shown(p.most)}.${other}`
  },
  'sheet-not-a-hardness': p => `${p.text} is not a Rockwell C hardness (${p.least} to ${p.most}).`,
  'sheet-soak-upside-down': () => 'The least austenitize temperature is above the most.',
  'sheet-usual-outside': () => 'The usual austenitize temperature lies outside the least and the most.',
  'sheet-soak-times-upside-down': () => 'The shortest soak is above the longest.',
  'sheet-tempers-upside-down': () => 'The lowest temper must be below the highest.',
  'sheet-temper-above-soak': () => 'A temper as hot as the soak would undo it. Check both.',
  'sheet-no-chart-row': () =>
    'No row could be read. One row a line: the temper, then the hardness, such as “200 60.5”.',
  'sheet-chart-doubles-back': (p, say) =>
    `Row ${p.row} (${say.t(p.atC)}) does not rise above the row before it (${say.t(p.beforeC)}): the chart doubles back. Put the rows in rising order, or take one out.`,
  'sheet-chart-above-soak': (p, say) => `The chart tempers at ${say.t(p.hottestC)}, above its own soak. Check both.`,
}

const spoken = <C extends ProblemCode>(
  { code, params, path }: { readonly code: C; readonly params: ProblemCodes[C]; readonly path: string },
  say: Speaker,
): string => PROBLEM_WORDS[code](params, say, path)

/** A problem as a sentence in the shop's units. */
export const problemWords = (problem: Problem, say: Speaker): string => spoken(problem, say)

/** A problem of one row of a file, by its line. */
export const rowWords = (problem: Problem, say: Speaker): string =>
  `Line ${problem.path}: ${problemWords(problem, say)}`
