import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { SaveResult } from '../ui/controls/SavedField'
import { BreedField } from './BreedField'

afterEach(cleanup)

describe('BreedField', () => {
  it('U55 sends the breed that was picked once, also where the field is left before the answer has come', async () => {
    let answer: () => void = () => undefined
    const save = vi.fn<(typed: string, seen: string) => Promise<SaveResult>>(() => new Promise((resolve) => (answer = () => resolve({ kept: true }))))
    render(<BreedField label="Breed" value="" onSave={save} />)
    const field = screen.getByLabelText<HTMLInputElement>('Breed')
    fireEvent.change(field, { target: { value: 'samo' } })
    fireEvent.mouseDown(screen.getByRole('option', { name: 'Samoyed' }))
    fireEvent.blur(field)
    expect(field.value).toBe('Samoyed')
    await act(async () => {
      answer()
      await Promise.resolve()
    })
    expect(save.mock.calls).toEqual([['Samoyed', '']])
  })

  it('U55 sends one write for arrow, Enter and an instant Tab', async () => {
    const save = vi.fn<(typed: string, seen: string) => Promise<SaveResult>>(() => new Promise(() => undefined))
    render(<BreedField label="Crossed with" value="" onSave={save} />)
    const field = screen.getByLabelText<HTMLInputElement>('Crossed with')
    fireEvent.change(field, { target: { value: 'greenl' } })
    fireEvent.keyDown(field, { key: 'ArrowDown' })
    fireEvent.keyDown(field, { key: 'Enter' })
    fireEvent.keyDown(field, { key: 'Tab' })
    fireEvent.blur(field)
    await waitFor(() => expect(save.mock.calls).toEqual([['Greenland Dog', '']]))
  })

  it('U56 suggests what sled people call their dogs, and Escape closes only the list', () => {
    render(<BreedField label="Breed" value="" onSave={() => Promise.resolve({ kept: true })} />)
    const field = screen.getByLabelText<HTMLInputElement>('Breed')
    fireEvent.change(field, { target: { value: 'alaskan hu' } })
    expect(screen.getByRole('option', { name: 'Alaskan Husky' })).toBeDefined()
    fireEvent.keyDown(field, { key: 'Escape' })
    expect(screen.queryByRole('option')).toBeNull()
    expect(field.value).toBe('alaskan hu')
  })

  it('shows both where somebody else set the breed meanwhile, and keeps mine against theirs when told to', async () => {
    const save = vi
      .fn<(typed: string, seen: string) => Promise<SaveResult>>()
      .mockResolvedValueOnce({ kept: false, problem: 'The field says otherwise now.', theirs: 'Saluki' })
      .mockResolvedValue({ kept: true })
    render(<BreedField label="Crossed with" value="" onSave={save} />)
    const field = screen.getByLabelText<HTMLInputElement>('Crossed with')
    fireEvent.change(field, { target: { value: 'Kelpie' } })
    fireEvent.blur(field)
    expect((await screen.findByRole('alert')).textContent).toContain('somebody set it to “Saluki”; you typed “Kelpie”')
    fireEvent.click(screen.getByRole('button', { name: 'Keep mine' }))
    await waitFor(() =>
      expect(save.mock.calls).toEqual([
        ['Kelpie', ''],
        ['Kelpie', 'Saluki'],
      ]),
    )
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull())
  })
})
