/** Times one act many times, in milliseconds, after a warm-up. */
export async function timed(times: number, act: (i: number) => unknown): Promise<number[]> {
  for (let i = 0; i < Math.min(50, times); i++) await act(-1 - i)
  const out: number[] = []
  for (let i = 0; i < times; i++) {
    const from = performance.now()
    await act(i)
    out.push(performance.now() - from)
  }
  return out
}

const ms = (value: number): string => `${value < 1 ? value.toFixed(3) : value.toFixed(1)} ms`

/** One line of the report: ours, the bare thing beside it, and how many times as much. */
export function line(name: string, ours: number, bareName: string, bare: number, goal = ''): void {
  console.log(`${name.padEnd(44)} ${ms(ours).padStart(11)}   ${bareName.padEnd(44)} ${ms(bare).padStart(11)}   ratio ${(ours / bare).toFixed(2)}${goal}`)
}
