/** Can this browser speak? */
export const canSpeak = (): boolean => typeof window !== 'undefined' && 'speechSynthesis' in window

/** Fractions and units as they are said. */
export const spoken = (text: string): string =>
  text
    .replace(/(\d+) (\d+)\/(\d+)/g, '$1 and $2/$3')
    .replace(/\b1\/2\b/g, 'a half')
    .replace(/\b1\/4\b/g, 'a quarter')
    .replace(/\b3\/4\b/g, 'three quarters')
    .replace(/\b(\d+)\/8\b/g, '$1 eighths')
    .replace(/\b(\d+)\/16\b/g, '$1 sixteenths')
    .replace(/\bin\b/g, 'inches')
    .replace(/\bcm\b/g, 'centimetres')

/** Says a line, cutting off the one before; without a voice nothing happens. */
export function say(text: string, on: boolean): void {
  if (!on || !canSpeak()) return
  window.speechSynthesis.cancel()
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(spoken(text)))
}
