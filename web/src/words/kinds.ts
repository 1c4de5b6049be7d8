import type { CautionCode, GearReason, RankedStyle, StyleReason, Suits } from '@merry-tailor/core'
import { lowerFirst, upperFirst } from './first-letter'

/** What a rank is called in a list: the word is the reason itself (design 6). */
const RANK_WORDS: Readonly<Record<Suits, string>> = {
  first: 'Suits',
  works: 'Works',
  conditions: 'Only under conditions',
  wrong: 'Not for this',
  pointless: 'Nothing for this',
}

/** A rank and the condition it stands under: the two go on in one sentence. */
export const rankWords = ({ rank, when }: Pick<RankedStyle, 'rank' | 'when'>): string =>
  `${RANK_WORDS[rank]}${when === undefined ? '' : `${rank === 'conditions' ? ':' : ''} ${when}`}`

/** The grade whose mark a rank is drawn with; the word stays its own. */
export const RANK_GRADES = { first: 'holds', works: 'holds', conditions: 'doubt', wrong: 'fails', pointless: 'none' } as const

const FOR: Readonly<Record<StyleReason, string>> = {
  purpose: '',
  puppy: 'fit for a growing dog',
  'flat-face': 'leaves a flat face free',
  crabs: 'counters running sideways',
  swings: 'lets the tug travel from side to side',
  flexes: 'leaves the back free to flex',
  'deep-narrow-chest': 'stays in place on a deep narrow chest',
  'short-back-thick-neck': 'short enough for this neck',
  'near-the-load': 'made for a place close to the load',
  'three-legs': 'steadies a dog on three legs',
  'head-shy': 'nothing goes over the head',
  'backs-out': 'hard to back out of',
  'line-angle': 'made for the line as it runs',
  giant: 'its ranges reach a giant',
  shared: 'set anew for whoever else wears it',
  chews: 'cloth does not last on a dog that chews',
  wriggles: 'quickly on a dog that will not stand still',
  'thick-coat': 'a broad fluffy dog needs neither bridge nor rear padding',
  'shop-view': 'the shop’s own side in a question practitioners disagree on',
  'further-job': 'does the other work too',
  'tucked-up': 'its second strap sits on a tucked-up belly’s ribs',
}
const AGAINST: Readonly<Record<StyleReason, string>> = {
  ...FOR,
  puppy: 'the dog still grows',
  'flat-face': 'a flat face wants the Y low and no draught',
  flexes: 'the cross can hold a flexing back',
  'short-back-thick-neck': 'where the neck fits, it is likely too long',
  'near-the-load': 'too short for a place close to the load',
  'three-legs': 'straps slide to the empty side',
  'head-shy': 'goes over the head',
  'backs-out': 'easily backed out of',
  'shop-view': 'the shop’s side speaks against it',
  'further-job': 'the other work wants a second piece',
  'line-angle': 'made for another line than this',
}

/** Why a coat, a boot or a crate suits, or does not: one sentence reads well both ways. */
const GEAR: Readonly<Record<GearReason, string>> = {
  'snow-and-ice': 'for snow, ice and ice balls; used up and renewed',
  'wears-on-asphalt': 'cloth wears through on hard ground',
  'grip-on-rock': 'rock wants a rubber sole',
  'hot-ground': 'hot ground wants a rubber sole',
  salt: 'keeps salt off',
  'deep-snow-gaiter': 'deep snow wants a gaiter',
  'breaks-by-the-hour': 'not for hours without a break',
  floors: 'floors want grip, not a thick sole',
  moisture: 'moisture gathers when worn long',
  'harness-over-it': 'a harness goes on top',
  'not-in-rain': 'not in rain or wet brush',
  'cold-house': 'for a cold house and cold walks',
  'head-and-legs-handled': 'this dog does not like its head handled',
  'long-underside': 'a male wants a short underside',
  'severe-cold': 'severe cold asks for hood and belly warmer',
  'thin-coat': 'for a thin coat',
  'thick-coat-warms': 'a thick coat keeps itself warm',
  'no-rigid-hood': 'no rigid hood on a flat face',
  'rain-and-mud': 'for rain and mud',
  'set-once': 'its cords are set at the first fitting',
  'warm-weather': 'too warm for this air',
  'night-and-heat': 'seen at night; wet only where air moves',
  'grows-with-it': 'can grow with a puppy',
  divider: 'takes a divider',
  'no-divider': 'no divider for a puppy',
  'car-and-flight': 'rigid, can be held fast',
  'carrier-rules': 'flying goes by the carrier’s own rules',
  'no-restraint': 'holds no dog in a crash',
  'trips-trained': 'for trips with a trained dog',
  'daily-use': 'not for every day',
  'chews-it': 'a chewer is soon through it',
  untrained: 'not before the dog is trained to it',
  'more-room': 'more room while people work',
  'climbs-out': 'a dog that backs out climbs too',
}

/** What a kind's own sentence says already of a reason. */
const SAID: Partial<Readonly<Record<StyleReason | GearReason, RegExp>>> = {
  crabs: /crabb|sideways/i,
  swings: /swing|side to side/i,
  flexes: /flex/i,
  'deep-narrow-chest': /deep|narrow chest/i,
  'near-the-load': /close to the load|at the wheel/i,
  'tucked-up': /tucked/i,
  chews: /chew/i,
  wriggles: /wriggl|stand still/i,
  'thick-coat': /fluffy|thick coat/i,
  'three-legs': /three legs/i,
  'backs-out': /back(s|ed|ing)? out/i,
}

/**
 * The reasons beside the purpose in one sentence; empty where there are none.
 *
 * @param already the kind's own sentence, which stands beside it: nothing is said twice
 */
export function reasonWords({ reasons }: { reasons: readonly { code: StyleReason | GearReason; for: boolean }[] }, already = ''): string {
  const wordOf = (code: StyleReason | GearReason, speaks: boolean): string =>
    code in GEAR ? GEAR[code as GearReason] : (speaks ? FOR : AGAINST)[code as StyleReason]
  const said = reasons.filter(({ code }) => code !== 'purpose' && !(SAID[code]?.test(already) ?? false)).map(({ code, for: speaks }) => wordOf(code, speaks))
  const all = [...new Set(said)].join('; ')
  return all === '' ? '' : `${upperFirst(all)}.`
}

const STOPS: Partial<Readonly<Record<CautionCode, string>>> = {
  'growing-no-load': 'No load while the dog grows; a vet goes before us.',
  'growing-light-only': 'Light work only at this age; a vet goes before us.',
  'flat-face-no-draught': 'No draught work with a flat face.',
  sparing: 'No pulling while the dog is spared.',
  'not-for-car': 'Not for the car.',
  'front-clip': 'No front clip on a growing dog.',
  'running-in-front': 'Not in front of a dog that pulls.',
  'not-for-draught': 'Not made for this work.',
  heat: 'Too warm for pulling.',
}

export const stopWords = (stops: readonly CautionCode[]): string => stops.flatMap((code) => STOPS[code] ?? []).join(' ')

/** What a kind is wrong for, after its own sentence. */
export const wrongWords = (wrong: string): string => `Wrong${/^(For|Where|When|With)\b/.test(wrong) ? '' : ':'} ${lowerFirst(wrong)}`
