import { Button } from './Button'

/** Takes a text out as a file of its own, made when it is asked for. */
export function SaveText({ name, type, text, children }: { name: string; type: string; text: () => string; children: string }) {
  const save = (): void => {
    const url = URL.createObjectURL(new Blob([text()], { type }))
    const link = Object.assign(document.createElement('a'), { href: url, download: name })
    link.click()
    URL.revokeObjectURL(url)
  }
  return (
    <Button tone="quiet" onClick={save} aria-label={`Take out as ${children}`}>
      Take out {children}
    </Button>
  )
}
