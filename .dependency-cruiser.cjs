/**
 * The arrows of the layout, one way each:
 *   pages → islands → ui → words → core → data, and islands → store, workers, devices, simulators → core.
 * Inside the core: joining → files, contract, files → day, learn → job → run → the models and shop → units, numeric.
 */
const BASE = ['^src/core/(codes|units|numeric)/', '^src/data/']
const MODELS = 'steel|oven|quench|foil|cold|rockwell'

/** A batch in a shop, a folder a subject, each with the subjects it may read. */
const BATCH = {
  batch: [],
  equipment: ['batch'],
  load: ['batch', 'equipment'],
  trace: ['batch', 'load'],
  hardness: ['batch', 'load'],
  advice: ['batch', 'equipment', 'load', 'hardness'],
  'new-batch': ['batch', 'equipment', 'load', 'advice'],
  cost: ['batch', 'load'],
  'run-plan': ['batch', 'equipment', 'load'],
  certificate: ['batch', 'load', 'trace', 'hardness'],
  logbook: ['batch', 'hardness', 'cost'],
  bench: ['batch', 'equipment', 'load', 'trace', 'hardness', 'new-batch', 'run-plan'],
}
const SUBJECTS = Object.keys(BATCH).join('|')

/** Modules that compute for longer than a frame, or hold much of the model. */
const HEAVY = [
  'contract/(question|openapi)',
  'contract/questions/(?!index).+',
  'advice/(advise|causes|each-blade|rank-steels)',
  'bench/(batch-figures)',
  'certificate/(certificate)',
  'cost/(batch-cost|foil-needed)',
  'equipment/(chambers|follow-run)',
  'hardness/(soak-effect|predicted-blade|measured-blades)',
  'load/(hot-times|load-heat|pull-plan|shared-soak)',
  'logbook/(logbook|trends)',
  'run-plan/(batch-day|run-blades|run-steps)',
  'trace/(logged-heat|timeline)',
  'day/(clashes|improve|network|parts|plan|search|shop-problem|solve|what-if|why-not)',
  'learn/.+',
  'oven/(chamber-model|door-recovery|oven-model|simulate|wall|fit/fit-oven)',
  'quench/(fit-plates|pace|plate-stack|quench)',
  'steel/(band|contours|grade-curves|misfit|predict|recipe-map|tell-tale|temper-curve)',
]

/** A folder may import from itself and from what is named, nothing else of ours. */
const only = (folder, allowed) => ({
  name: `${folder.replace(/[^a-z]+/g, '-')}-looks-down`,
  severity: 'error',
  from: { path: `^src/${folder}/` },
  to: { path: '^src/', pathNot: [`^src/${folder}/`, ...allowed] },
})
const core = (folder, below = []) => only(`core/${folder}`, [...BASE, ...below.map(name => `^src/core/(${name})/`)])

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-circles-of-folders',
      severity: 'error',
      scope: 'folder',
      from: { path: '^src/core/' },
      to: { circular: true },
    },
    only('data', []),
    only('core', ['^src/data/']),
    core('codes'),
    core('units'),
    core('numeric'),
    core('shop'),
    core('rockwell'),
    core('foil'),
    core('cold'),
    core('steel', ['rockwell']),
    core('oven', ['steel']),
    core('quench', ['oven']),
    core('run', [MODELS, 'shop']),
    ...Object.entries(BATCH).map(([folder, below]) => core(folder, [MODELS, 'shop', 'run', ...below])),
    core('learn', [MODELS, 'shop', 'run', SUBJECTS]),
    core('calibrate', ['steel']),
    core('day', [MODELS, 'shop', 'run', SUBJECTS, 'learn']),
    core('files', [MODELS, 'shop', 'run', SUBJECTS, 'learn', 'day']),
    core('joining', ['shop', 'run', 'batch', 'files']),
    core('sharing', ['shop', 'batch', 'files', 'joining']),
    core('contract', [MODELS, 'shop', 'run', SUBJECTS, 'learn', 'day']),
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^src/(core|data)/' },
      to: {
        path: 'node_modules|^node:',
        pathNot:
          'node_modules/(zod|papaparse|@stdlib|ml-matrix|yalps|simple-statistics|ml-levenberg-marquardt|svg-path-properties|svgpath|fast-xml-parser|dxf-parser|@tarikjabiri/dxf|d3-contour|@types/d3-contour)/',
      },
    },
    only('words', ['^src/(core|data)/']),
    only('simulators', ['^src/(core|data)/']),
    // The log that the shop learns from is read where it is used: in the worker.
    only('workers', ['^src/(core|data|store)/']),
    only('devices', ['^src/(core|data)/']),
    only('store', ['^src/(core|data)/']),
    only('sharing', ['^src/(core|data|store)/']),
    only('ui', ['^src/(words|core|data|styles)/']),
    only('offline', []),
    only('islands', ['^src/(ui|words|store|sharing|workers|devices|offline|simulators|core|data)/']),
    {
      name: 'heavy-work-is-asked-for',
      comment: 'What takes long is asked of the worker by its question. The page may know its types alone.',
      severity: 'error',
      from: { path: '^src/(islands|ui|store|devices|words)/' },
      to: {
        path: `^src/core/(${HEAVY.join('|')})\\.ts$`,
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'schemas-are-small',
      comment: 'Schemas are written with zod/mini: the chained form brings 17 kB gzipped to every page, used or not.',
      severity: 'error',
      from: { path: '^src/' },
      to: { path: 'node_modules/zod/(index|v4/classic/.+)' },
    },
    {
      name: 'nothing-imports-pages',
      severity: 'error',
      from: { pathNot: '^src/pages/' },
      to: { path: '^src/pages/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.(test|bench)\\.tsx?$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
}
