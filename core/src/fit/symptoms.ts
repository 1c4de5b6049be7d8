import type { FamilyId } from '../model/index.ts'
import { checkedAs } from './checks.ts'

/** A adjust, R resize, C change style, P procedure (handbook 7.3). */
export type RemedyKind = 'adjust' | 'resize' | 'change' | 'procedure'

export interface Remedy {
  /** Its name among the remedies of its symptom: records keep it, so it never changes. */
  code: string
  kind: RemedyKind
  do: string
}

export interface Symptom {
  id: string
  families: readonly FamilyId[]
  name: string
  cause: string
  /** Tried from first to last. */
  remedies: readonly Remedy[]
  /** Stop and refit at once. */
  stop?: true
}

const adjust = (code: string, what: string): Remedy => ({ code, kind: 'adjust', do: what })
const resize = (code: string, what: string): Remedy => ({ code, kind: 'resize', do: what })
const change = (code: string, what: string): Remedy => ({ code, kind: 'change', do: what })
const procedure = (code: string, what: string): Remedy => ({ code, kind: 'procedure', do: what })

/** Source: handbook 7.3, common practice; S33's second belly strap and S37 from memory, unverified. */
export const symptoms: Readonly<Record<string, Symptom>> = Object.fromEntries(
  (
    [
      [
        'S01',
        'H11',
        'Chokes, coughs or gasps in the pull; Y climbs',
        'Neck too small, or ruff and loose skin caught',
        [procedure('draw-the-skin-and-ruff-through', 'Draw the skin and ruff through'), resize('next-size-up', 'Next size up')],
        true,
      ],
      [
        'S02',
        'H11',
        'V hangs below the breastbone lump',
        'Neck too big, weight loss, or measured too low',
        [resize('next-size-down', 'Next size down'), procedure('take-harness-neck-again', 'Take harness neck again')],
      ],
      ['S03', 'H11', 'Neck slides onto the shoulder, stride shortens', 'Too big', [resize('next-size-down', 'Next size down')]],
      ['S04', 'H11', 'A whole hand fits under the neck', 'Far too big', [resize('down-one-or-more-sizes', 'Down one or more sizes')]],
      [
        'S05',
        'H11',
        'Neck does not go over the head',
        'Too small, or a large head',
        [change('a-style-with-an-adjustable-neck', 'A style with an adjustable neck'), resize('next-size-up', 'Next size up')],
      ],
      [
        'S06',
        'H11',
        'End past the tail under load, hips pressed down',
        'Body too long',
        [resize('shorter-or-made-to-measure', 'Shorter, or made to measure'), change('short-pull-harness', 'Short pull harness')],
      ],
      ['S07', 'H11', 'End a little over the tail, all else right', 'Within tolerance', [procedure('accept-it', 'Accept it')]],
      [
        'S08',
        'H11',
        'Slack: end mid-back, bunched over the shoulders',
        'Normal while slack',
        [procedure('look-at-it-in-the-pull-before-judging', 'Look at it in the pull before judging')],
      ],
      ['S09', 'H11', 'End well short of the tail while pulling hard', 'Too short', [resize('longer', 'Longer')]],
      [
        'S10',
        'H11',
        'Side strap in the armpit, rubbing',
        'Sides too short, or too small',
        [
          procedure('feel-by-hand-first-it-may-look-closer-than-it-is', 'Feel by hand first: it may look closer than it is'),
          change('open-back-or-another-cut', 'Open-back or another cut'),
          resize('next-size-up', 'Next size up'),
        ],
      ],
      [
        'S11',
        'H11',
        'Side strap behind the ribs, into the belly',
        'Too long, or a size too big',
        [resize('next-size-down', 'Next size down'), change('another-style', 'Another style')],
      ],
      [
        'S12',
        'H11',
        'Harness wanders round a deep chest',
        'Shape',
        [change('cross-back-with-chest-piece-or-stick-harness', 'Cross-back with chest piece, or stick harness')],
      ],
      [
        'S13',
        'H11',
        'Dog crabs sideways',
        'Habit, partner, discomfort or trail',
        [
          procedure('look-for-pain-first-ask-the-vet-if-it-stays', 'Look for pain first; ask the vet if it stays'),
          change('side-hooks-or-short-pull-harness', 'Side hooks or short pull harness'),
        ],
      ],
      ['S14', 'H11', 'Swings from side to side before a bike', 'Style', [change('cross-back-with-sliding-tug-loop', 'Cross-back with sliding tug loop')]],
      ['S15', 'H11', 'Stiff or arched back in the cross', 'Spine limited by the cross', [change('h-back-or-open-back', 'H-back or open-back')]],
      ['S16', 'H11', 'Wheel or tall dog sinks behind', 'Line too low or short', [change('wheel-or-stick-harness', 'Wheel or stick harness')]],
      ['S17', 'H11', 'Snap beats the back', 'Line too high for the body length', [change('half-back-with-a-tug-loop', 'Half-back, with a tug loop')]],
      [
        'S18',
        'H11',
        'Chafe although the fit is right',
        'Same contact daily',
        [procedure('rotate-styles-let-it-heal-check-the-fit-again', 'Rotate styles, let it heal, check the fit again')],
      ],
      ['S19', 'H11', 'Coat broken on chest or shoulder', 'Bare webbing', [change('a-padded-one', 'A padded one')]],
      [
        'S20',
        'H11',
        'Adjusters creep',
        'Sliding buckles under load',
        [change('fixed-straps', 'Fixed straps'), adjust('lock-with-a-few-stitches', 'Lock with a few stitches')],
      ],
      [
        'S21',
        'H11',
        'Dog will not pull',
        'Discomfort, or untrained',
        [procedure('go-through-s01-to-s12', 'Go through S01 to S12'), procedure('shorter-lighter-outings', 'Shorter, lighter outings')],
      ],
      [
        'S22',
        'H01',
        'Head held high, short steps, tail pressed down',
        'Y too high, or a strap across',
        [adjust('lower-the-front-piece', 'Lower the front piece'), change('a-y-front-cut-lower', 'A Y-front cut lower')],
      ],
      [
        'S23',
        'H01',
        'Cough on the lead',
        'Strap on the windpipe',
        [adjust('lower-the-front-piece-lengthen-the-neck', 'Lower the front piece, lengthen the neck'), change('another-cut', 'Another cut')],
        true,
      ],
      ['S24', 'H01', 'Sways or rolls', 'Girth loose, sides unequal', [adjust('tighten-and-equalise', 'Tighten and equalise')]],
      ['S25', 'H01', 'Leans always to one side', 'Unequal straps', [adjust('equalise-left-and-right', 'Equalise left and right')]],
      ['S26', 'H01', 'Fingers must be forced', 'Too tight', [adjust('lengthen', 'Lengthen'), resize('next-size-up', 'Next size up')]],
      ['S27', 'H01', 'Much more than two fingers', 'Too loose', [adjust('shorten', 'Shorten')]],
      [
        'S28',
        'H01',
        'Girth strap nearer than two fingers to the elbow',
        'Back piece too short',
        [adjust('lengthen-the-back-piece', 'Lengthen the back piece'), resize('next-size-up', 'Next size up'), change('another-cut', 'Another cut')],
      ],
      ['S29', 'H01', 'Girth strap behind the last true rib', 'Too long', [resize('next-size-down', 'Next size down')]],
      [
        'S30',
        'H01',
        'Breastbone bare above the front piece',
        'Neck let out too far, front too short',
        [adjust('draw-the-neck-back-in', 'Draw the neck back in'), resize('next-size-up-and-draw-in', 'Next size up and draw in')],
      ],
      ['S31', 'H01', 'Neck good, armpit tight', 'Between sizes', [resize('next-size-up-shorten-neck-and-girth', 'Next size up, shorten neck and girth')]],
      ['S32', 'H01', 'Straps longer than the adjuster can take', 'Wrong size', [resize('next-size-down', 'Next size down')]],
      [
        'S33',
        'H01',
        'Backs out',
        'Neck or girth loose; head slimmer than neck',
        [
          adjust('tighten-neck-and-girth', 'Tighten neck and girth'),
          change('assist-harness-with-a-second-belly-strap', 'Assist harness with a second belly strap'),
        ],
      ],
      [
        'S34',
        'H01',
        'Ring hangs below or in front',
        'Put on the wrong way round',
        [procedure('find-the-loosely-hung-leash-ring-first', 'Find the loosely hung leash ring first')],
      ],
      [
        'S37',
        'H01',
        'Red skin or bent hair after an hour',
        'Pressure point, buckle on bone',
        [adjust('move-the-slider', 'Move the slider'), change('another-cut', 'Another cut')],
      ],
    ] as const
  ).map(([id, family, name, cause, remedies, stop]): [string, Symptom] => [id, { id, families: [family], name, cause, remedies, ...(stop ? { stop } : {}) }]),
)

/** A remedy by its symptom and its code. */
export const remedyOf = (symptom: string, code: string | null): Remedy | undefined => symptoms[symptom]?.remedies.find((remedy) => remedy.code === code)

/** Symptoms that can show on this family, those named by a failing check first. */
export function symptomsFor(family: FamilyId, first: readonly string[] = []): Symptom[] {
  const all = Object.values(symptoms).filter((symptom) => symptom.families.includes(checkedAs(family)))
  return all.sort((a, b) => Number(first.includes(b.id)) - Number(first.includes(a.id)) || a.id.localeCompare(b.id))
}
