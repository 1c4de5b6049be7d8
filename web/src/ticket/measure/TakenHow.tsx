import { COAT_STATES, measures, type Method, PAW_LIFTED, type Place } from '@merry-tailor/core'
import { memo } from 'react'
import { Popover } from 'radix-ui'
import { useAppSelector } from '../../state/store'
import { Picker } from '../../ui/controls/Picker'
import { Segmented } from '../../ui/controls/Segmented'
import { SwitchBox } from '../../ui/controls/SwitchBox'
import { TextField } from '../../ui/controls/TextField'
import { COATS, METHOD_HOW, METHODS } from '../../words/measuring'
import { Chip, Group, NameChips } from '../../length-entry'
import { useBench, type TapeRow } from '../../bench'

const TOOLS: readonly Method[] = ['tape', 'string', 'loop', 'garment', 'digital', 'square', 'tracing']
const DOUBTS = ['Head turned', 'Leaned', 'Sat back', 'Fidgeted'] as const

/** The line over the entry: with which tool, on which side, and under it who, how and in what coat. */
export const TakenHow = memo(function TakenHow({ row }: { row: TapeRow }) {
  const [bench, change] = useBench()
  const measure = measures[row.tape.measure]
  const { fitter, helper } = useAppSelector((state) => state.settings)
  const said = [
    bench.coat ? COATS[bench.coat] : '',
    bench.postureDoubt ? `doubt: ${bench.postureDoubt.toLowerCase()}` : '',
    bench.chalkMark ? 'chalk mark' : '',
    bench.remark ? 'remark' : '',
    fitter ? `by ${fitter}` : 'measured by nobody named',
    helper ? `held by ${helper}` : '',
  ].filter(Boolean)
  return (
    <div className="mb-2 flex items-center gap-2">
      {measure?.quantity === 'length' && (
        <Picker<Method | 'usual'>
          label="Tool"
          value={bench.method ?? 'usual'}
          options={[{ value: 'usual', label: 'The usual tool' }, ...TOOLS.map((method) => ({ value: method, label: METHODS[method] }))]}
          onChange={(method) => change({ method: method === 'usual' ? null : method })}
          className="w-[158px] shrink-0 whitespace-nowrap border! border-edge!"
        />
      )}
      {measure?.sided && (
        <Segmented<Place | 'unsaid'>
          label="Side of the dog"
          value={bench.side ?? 'unsaid'}
          options={[
            { value: 'unsaid', label: '–' },
            { value: 'left', label: 'Left' },
            { value: 'right', label: 'Right' },
          ]}
          onChange={(side) => change({ side: side === 'unsaid' ? null : side })}
        />
      )}
      <Popover.Root>
        <Popover.Trigger className="flex min-h-11 min-w-0 flex-1 items-center justify-between gap-2 border border-edge px-3 text-left text-[14.5px] hover:bg-bench">
          <span className="truncate">{said.join(', ')}</span>
          <span className="shrink-0 font-semibold underline">change how</span>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            side="top"
            align="end"
            sideOffset={6}
            collisionPadding={8}
            aria-label="How it is taken"
            className="quiet-scroll z-40 max-h-[var(--radix-popover-content-available-height)] w-[min(460px,94vw)] space-y-3 border-2 border-ink bg-panel p-4 text-ink"
          >
            <h2 className="text-[19px] leading-6">Kept with every reading</h2>
            {bench.method && <p className="text-mute">{METHOD_HOW[bench.method]}</p>}
            <NameChips label="Measured by" role="fitter" />
            <NameChips label="Held by" role="helper" />
            <Group label="Coat">
              <Chip on={bench.coat === null} onClick={() => change({ coat: null })}>
                not said
              </Chip>
              {COAT_STATES.map((coat) => (
                <Chip key={coat} on={bench.coat === coat} onClick={() => change({ coat })}>
                  {COATS[coat]}
                </Chip>
              ))}
            </Group>
            <Group label="Stance in doubt">
              <Chip on={bench.postureDoubt === ''} onClick={() => change({ postureDoubt: '' })}>
                no doubt
              </Chip>
              {[...(measure?.posture === 'W' ? [PAW_LIFTED] : []), ...DOUBTS].map((doubt) => (
                <Chip key={doubt} on={bench.postureDoubt === doubt} onClick={() => change({ postureDoubt: doubt })}>
                  {doubt}
                </Chip>
              ))}
            </Group>
            {['M10', 'M12', 'M13'].includes(row.tape.measure) && (
              <SwitchBox
                label="One straight tape through one chalk mark"
                checked={bench.chalkMark}
                onChange={(chalkMark) => change({ chalkMark })}
                className="w-full"
              />
            )}
            <TextField
              label={row.tape.measure === 'M15' ? 'Hem wished' : row.tape.measure === 'M09' ? 'The maker’s route' : 'Remark'}
              value={bench.remark}
              maxLength={200}
              onChange={(event) => change({ remark: event.target.value })}
            />
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  )
})
