/** Whether this page came out of a folder of plain files: there is no server of ours to answer. */
export const isServedAsFiles = (): boolean => document.documentElement.dataset.files === 'on'
