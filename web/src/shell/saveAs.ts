/** Hands a text to the browser to be saved. */
export function saveAs(name: string, text: string, type = 'application/json') {
  const url = URL.createObjectURL(new Blob([text], { type }))
  const link = document.createElement('a')
  link.href = url
  // Names are people's own; a file name can't hold all of what a name can.
  link.download = name.replace(/[\\/:*?"<>|]+/g, '-')
  link.click()
  URL.revokeObjectURL(url)
}
