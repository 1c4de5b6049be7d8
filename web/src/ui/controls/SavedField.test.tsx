import { act, cleanup, fireEvent, render, screen } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { SavedField, type SaveResult } from './SavedField'

afterEach(cleanup)

const type = (text: string): HTMLInputElement => {
  const field = screen.getByLabelText<HTMLInputElement>('Name')
  fireEvent.change(field, { target: { value: text } })
  fireEvent.blur(field)
  return field
}

describe('SavedField', () => {
  it('saves what was typed against the value seen when typing began', () => {
    const save = vi.fn(() => Promise.resolve<SaveResult>({ kept: true }))
    render(<SavedField label="Name" value="Tern" onSave={save} />)
    type('Gull')
    expect(save).toHaveBeenCalledWith('Gull', 'Tern')
  })

  it('sends nothing when nothing changed', () => {
    const save = vi.fn(() => Promise.resolve<SaveResult>({ kept: true }))
    render(<SavedField label="Name" value="Tern" onSave={save} />)
    type('Tern ')
    expect(save).not.toHaveBeenCalled()
  })

  it('keeps what could not be saved, with the reason at the field', async () => {
    render(<SavedField label="Name" value="Tern" onSave={() => Promise.resolve({ kept: false, problem: 'Not saved.' })} />)
    const field = type('Gull')
    expect((await screen.findByRole('alert')).textContent).toBe('Not saved.')
    expect(field.value).toBe('Gull')
  })

  it('shows both values when somebody else was faster, and lets either win', async () => {
    const save = vi.fn<(typed: string, seen: string) => Promise<SaveResult>>(() => Promise.resolve({ kept: false, problem: 'x', theirs: 'Skua' }))
    render(<SavedField label="Name" value="Tern" onSave={save} />)
    type('Gull')
    expect((await screen.findByRole('alert')).textContent).toContain('“Skua”; you typed “Gull”')
    fireEvent.click(screen.getByRole('button', { name: 'Keep mine' }))
    expect(save).toHaveBeenLastCalledWith('Gull', 'Skua')
  })

  it('keeps what is typed while the last is still on its way, and sends nothing twice', async () => {
    const answers: (() => void)[] = []
    const save = vi.fn<(typed: string, seen: string) => Promise<SaveResult>>(() => new Promise((resolve) => answers.push(() => resolve({ kept: true }))))
    render(<SavedField label="Name" value="Tern" onSave={save} />)
    const field = type('Gull')
    fireEvent.focus(field)
    fireEvent.blur(field)
    expect(save.mock.calls).toEqual([['Gull', 'Tern']])
    fireEvent.change(field, { target: { value: 'Gulls' } })
    await act(async () => {
      answers[0]?.()
      await Promise.resolve()
    })
    expect(field.value).toBe('Gulls')
    fireEvent.blur(field)
    expect(save.mock.calls).toEqual([
      ['Gull', 'Tern'],
      ['Gulls', 'Gull'],
    ])
  })
})
