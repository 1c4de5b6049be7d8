import { saveFile } from '../save-file'
import { Button } from './Button'

/** Takes a text out as a file of its own, made when it is asked for. */
export function SaveText({ name, type, text, children }: { name: string; type: string; text: () => string; children: string }) {
  return (
    <Button tone="quiet" onClick={() => saveFile(name, type, text())} aria-label={`Save as ${children}`}>
      Save {children}
    </Button>
  )
}
