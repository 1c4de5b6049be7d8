/** Hands a file out to the device. */
export function saveFile(name: string, type: string, content: BlobPart): void {
  const url = URL.createObjectURL(new Blob([content], { type }))
  Object.assign(document.createElement('a'), { href: url, download: name }).click()
  URL.revokeObjectURL(url)
}
