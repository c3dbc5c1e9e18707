/** The arrows of the layout: pages → islands → ui, store, workers, devices, simulators → core → data. */
const only = (name, from, to) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: '\\.(test|bench)\\.tsx?$' },
  to: { path: '^src/', pathNot: to },
})

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    only('data-stands-alone', '^src/data/', ['^src/data/']),
    only('core-knows-core-and-data', '^src/core/', ['^src/core/', '^src/data/']),
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^src/(core|data)/', pathNot: '\\.(test|bench)\\.ts$' },
      to: {
        path: 'node_modules|^node:',
        pathNot: 'node_modules/(zod|papaparse|@stdlib|ml-matrix|yalps|svg-path-properties|fast-xml-parser|dxf-parser)/',
      },
    },
    only('simulators-know-core', '^src/simulators/', ['^src/simulators/', '^src/core/', '^src/data/']),
    only('workers-know-core', '^src/workers/', ['^src/workers/', '^src/core/', '^src/data/']),
    only('devices-know-core', '^src/devices/', ['^src/devices/', '^src/core/', '^src/data/']),
    only('store-knows-core', '^src/store/', ['^src/store/', '^src/core/', '^src/data/']),
    only('ui-knows-core', '^src/ui/', ['^src/ui/', '^src/core/', '^src/data/', '^src/styles/']),
    only('islands-know-what-is-below', '^src/islands/', [
      '^src/(islands|ui|store|workers|devices|simulators|core|data)/',
    ]),
    {
      name: 'nothing-imports-pages',
      severity: 'error',
      from: { pathNot: '^src/pages/' },
      to: { path: '^src/pages/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
}
