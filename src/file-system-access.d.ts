/** What browsers that can write into a folder of the disk have, and the types of the DOM do not yet. Source: WICG File System Access. */
interface FileSystemHandle {
  queryPermission?(asked: { readonly mode: 'readwrite' }): Promise<PermissionState>
  requestPermission?(asked: { readonly mode: 'readwrite' }): Promise<PermissionState>
}
interface Window {
  showDirectoryPicker?(asked: { readonly id: string; readonly mode: 'readwrite' }): Promise<FileSystemDirectoryHandle>
}
