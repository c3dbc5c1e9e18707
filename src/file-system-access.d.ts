/** Types of browser functions for folders on disk that the DOM types still lack. Source: WICG File System Access. */
interface FileSystemHandle {
  queryPermission?(asked: { readonly mode: 'readwrite' }): Promise<PermissionState>
  requestPermission?(asked: { readonly mode: 'readwrite' }): Promise<PermissionState>
}
interface Window {
  showDirectoryPicker?(asked: { readonly id: string; readonly mode: 'readwrite' }): Promise<FileSystemDirectoryHandle>
}
