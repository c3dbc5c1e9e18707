type ChartLook = typeof import('../ui/charts/chart-look')

/** Charts are drawn on a canvas, which jsdom has not; they are looked at in a browser. */
export const stillCharts = async (original: () => Promise<ChartLook>) => ({
  ...(await original()),
  Chart: class {
    scales = {}
    update() {}
    destroy() {}
  },
})
