import {
  bootsFor,
  cautionsFor,
  chooseStyles,
  coatsFor,
  cratesFor,
  families,
  hitchLine,
  rankWays,
  solveForm,
  type Activity,
  type CautionSubject,
  type Dog,
  type FamilyId,
  type StyleOptions,
  betweenRule,
  rankSizes,
  type MeasureId,
  type SizedBody,
  type SizeTable,
} from '../src/index.ts'

/** One row of the handbook: what it says of the trade, asked of the code, and the answer it wants. */
export interface HandbookRow {
  section: '5.4' | '5.5' | '5.6' | '6.1' | '6.2' | '6.3' | '6.4' | '8.6'
  row: string
  ask: () => unknown
  says: unknown
}

type WayQuestion = Parameters<typeof rankWays>[0]

const on = '2026-10-05'
const dog = (over: Partial<Dog> = {}): Dog => ({
  id: '01900000-0000-7000-8000-000000000001', name: 'Tern', breed: '', crossWith: '', sex: null, born: '2020-01-01', ageMonths: null, ageSaidOn: null, weightKg: 20,
  coat: null, flatFace: false, sparing: false, notes: '', ownerId: null, createdAt: '2026-01-01T00:00:00Z', ...over,
}) // prettier-ignore
const puppy = dog({ born: '2026-06-01' })

/** What a family says of itself: every word named is there, in what speaks for it or against it. */
const why = (family: FamilyId, row: string, right: readonly RegExp[], wrong: readonly RegExp[]): HandbookRow => ({
  section: /^[CBK]/.test(family) ? '5.5' : '5.4',
  row: `${family} ${row}`,
  ask: () => [...right.filter((each) => !each.test(`${families[family].build} ${families[family].right}`)), ...wrong.filter((each) => !each.test(families[family].wrong))].map(String),
  says: [],
}) // prettier-ignore

const styleOf = (
  family: FamilyId,
  purpose: Activity,
  options: Partial<StyleOptions> = {},
  over: Partial<Dog> = {},
  form = solveForm({}, { build: 'nordic' }),
) => chooseStyles({ dog: dog(over), purpose, hitch: null, form, options: { on, ...options } }).find((style) => style.family === family)
const speaks = (
  family: FamilyId,
  purpose: Activity,
  code: string,
  options: Partial<StyleOptions> = {},
  over: Partial<Dog> = {},
  form = solveForm({}, { build: 'nordic' }),
) => styleOf(family, purpose, options, over, form)?.reasons.find((reason) => reason.code === code)?.for

const cautions = (over: Partial<CautionSubject>): string[] =>
  cautionsFor({ dog: dog(), activities: [], families: [], airC: null, on, ...over }).map(({ code, level }) => `${level} ${code}`)
const has = (row: string, over: Partial<CautionSubject>, ...codes: string[]): HandbookRow => ({
  section: '5.6',
  row,
  ask: () => codes.filter((code) => !cautions(over).includes(code)),
  says: [],
})

const way = (over: Partial<WayQuestion>, which: 'stock' | 'quick-ship' | 'made' | 'second-hand') => {
  const option = (of: typeof which) => ({ way: of, grade: of === 'second-hand' ? 'doubt' : 'holds', misses: 0, orderBy: null, peak: false, onShelf: null, price: null }) as const // prettier-ignore
  const question: WayQuestion = {
    options: (['stock', 'quick-ship', 'made', 'second-hand'] as const).map(option), today: on, neededOn: null, growing: false, beginner: false, oddBody: false, budget: null, views: {},
    forCar: false, isCrate: false, ...over,
  } // prettier-ignore
  return rankWays(question).find((each) => each.way === which)
}

const between = (family: FamilyId, growing = false): string => betweenRule({ family, between: null }, {}, growing).rule
const disagree = (family: FamilyId, sizes: SizeTable['sizes'], known: Partial<Record<MeasureId, number>>) => {
  const body: SizedBody = Object.fromEntries(Object.entries(known).map(([id, mm]) => [id, { mm, sigmaMm: 3 }]))
  const ranked = rankSizes({ family, between: null, sizes }, body)
  return [ranked[0]?.label, ranked.find((size) => size.conflict)?.conflict?.code ?? null]
}

/** Sections 5.4 to 5.6, 6.1 to 6.4 and 8.6, row by row. */
export const HANDBOOK_ROWS: readonly HandbookRow[] = [
  // 5.4, common practice: why, and when it is wrong.
  why('H01', 'blade free, on the breastbone; not for draught', [/blade/, /breastbone/], [/draught/, /padding/, /pull point/, /sliders/, /head cannot go down/]),
  why('H02', 'spreads the pull; chokes or drags where it is off', [/[Ss]preads the pull/, /spares both/, /windpipe/], [/chokes/, /hips/, /strolls/]),
  why('H03', 'quick, with a handle; over the blade, on the windpipe', [/[Qq]uick/, /handle/], [/blade/, /shorter steps/, /windpipe/]),
  why('H04', 'light, nothing over the head; half an hour (V29)', [/[Ll]ight/, /nothing over the head/], [/narrow straps/, /armpit/, /half an hour/, /pullers and long tours/]),
  why('H06', 'as the step-in with a plate', [/plate/], [/pullers and long tours/, /half an hour/]),
  why('H05', 'quickest; measured before it is bought', [/[Qq]uickest/], [/not measured/, /cannot be adjusted/, /[Ww]arm/]),
  why('H07', 'adjustable, cheap; the wrong way round', [/[Aa]djustable/, /cheap/], [/wrong way round/, /ring first/]),
  why('H08', 'curbs at once (V24); gait, no running, off when it has learned', [/[Cc]urbs/, /strong dog/, /double-ended lead/, /collar/], [/gait/, /no lead/, /running/, /puppies/, /has learned/]),
  why('H09', 'lifts and steadies; never for pulling', [/[Ll]ifts/, /three legs/, /hard to back out/], [/pulling/, /soft belly/]),
  why('H10', 'broad plate beside the runner; not in front', [/[Bb]road plate/, /many dogs fit one size/], [/pulls in front/]),
  why('H11', 'whole body; short backs, thick necks, rising lines, the X', [/whole body/], [/[Ss]hort backs and thick necks/, /foot too long/, /rise steeply/, /spine/]),
  why('H12', 'without the cross on the spine', [/without the cross/], [/[Ss]hort backs/]),
  why('H13', 'flexing backs; light padding, armpits', [/flexing backs/], [/light padding/, /armpits/]),
  why('H14', 'above the tail; not for a low hitch', [/above the tail/, /does not beat the back/], [/low sled hitch/, /strong pullers/]),
  why('H15', 'sideways line', [/sideways line/], [/full force/]),
  why('H16', 'deep narrow chests', [/[Dd]eep narrow chests/, /wander/], [/fluffy/]),
  why('H17', 'counters crabbing, no crutch', [/crabbing/], [/crutch/, /pain/]),
  why('H18', 'side to side in front of a bike', [/[Ss]ide-to-side/, /bike/], []),
  why('H19', 'wheel and tall dogs', [/[Ww]heel dogs and tall dogs/, /hips relieved/, /fewer injuries/], [/too long/]),
  why('H20', 'wheel dogs', [/[Ww]heel dogs/, /hips relieved/], [/too long/]),
  why('H21', 'counters crabbing, dryland; armpit', [/crabbing/, /dryland/], [/armpit/]),
  why('H22', 'one piece, fast off; comes off whole', [/[Oo]ne piece/, /does not tangle/, /fast off/], [/come off whole/, /quick release/]),
  why('H23', 'leaves the cart quickly; many parts', [/leaves the cart quickly/, /release adjust/], [/[Mm]any parts/, /confusing/]),
  why('H24', 'in its seat, both sides buckled; no sport, no tether', [/in its seat/, /stand, sit and lie/, /both sides buckled/], [/sport/, /way to the car/, /no tether/]),
  // 5.5: C5, boots, soft crate's chewers, pen's climbers from memory, unverified; the rest common practice.
  why('C1', 'rug', [/in and out of doors/, /harness goes on top/, /grow with a puppy/], [/rain/, /tail/]),
  why('C2', 'sweater', [/[Cc]old house/], [/male with a long underside/, /head or legs/]),
  why('C3', 'hooded winter coat', [/[Ss]evere cold/, /thin coats/, /ears/], [/thick neck/]),
  why('C4', 'rain suit', [/[Rr]ain and mud/, /very different bodies/], [/first fitting/, /warm weather/]),
  why('C5', 'light layer', [/[Nn]ight/, /heat/, /air moves/], [/[Ss]till hot air/]),
  why('B1', 'sled bootie', [/[Ss]now/, /ice balls/], [/[Aa]sphalt/]),
  why('B2', 'trail boot', [/[Rr]ock/, /salted/, /injuries/], [/width/, /without a break/, /gaiter/]),
  why('B3', 'grip sock', [/[Oo]ld dogs on floors/, /salt/], [/moisture/]),
  why('K1', 'wire crate (V49: two doors)', [/two doors/, /tray/, /divider/, /pen/], [/joints loosen/]),
  why('K2', 'travel crate (V49: one door, two half shells, two side windows)', [/[Tt]wo half shells/, /one metal door/, /two side windows/, /carrier/], [/no divider/]),
  why('K3', 'soft crate', [/[Cc]amping/, /trained dogs/, /mesh/], [/[Dd]aily use/, /chewers/]),
  why('K4', 'exercise pen', [/[Mm]ore room/, /wire crate/, /several heights/], [/[Jj]umpers and climbers/]),
  { section: '5.5', row: 'rain: the suit first, neither rug nor sweater', ask: () => { const all = coatsFor({ dog: dog(), needs: ['dry'], on }); return [all[0]?.family, all.find(({ family }) => family === 'C1')?.rank, all.find(({ family }) => family === 'C2')?.rank] }, says: ['C4', 'wrong', 'wrong'] },
  { section: '5.5', row: 'a male with a long underside: the sweater under conditions', ask: () => coatsFor({ dog: dog({ sex: 'male' }), needs: ['warm'], on }).find(({ family }) => family === 'C2')?.rank, says: 'conditions' },
  { section: '5.5', row: 'snow booties, boots on hot ground, socks on floors', ask: () => (['snow', 'hot', 'indoor'] as const).map((footing) => bootsFor({ footing })[0]?.family), says: ['B1', 'B2', 'B3'] },
  { section: '5.5', row: 'home: wire; journey: rigid; a soft one never for an untrained dog', ask: () => [cratesFor({ dog: dog(), needs: ['home'], on })[0]?.family, cratesFor({ dog: dog(), needs: ['fly'], on })[0]?.family, cratesFor({ dog: puppy, needs: ['home'], on }).find(({ family }) => family === 'K3')?.rank], says: ['K1', 'K2', 'wrong'] },
  // 5.6: ages, flat faces, humidity and the unattended dog from memory, unverified; the rest common practice.
  has('puppies: no loads', { dog: puppy, activities: ['sled-team'], families: ['H11'] }, 'stop growing-no-load'),
  has('puppies: nothing that holds movement back, tapes out of date', { dog: puppy, activities: ['stroll'], families: ['H01'] }, 'note growing-refit'),
  has('age for work: light line-out from about 12', { dog: dog({ born: '2025-07-01' }), activities: ['ski-front'], families: ['H02'] }, 'stop growing-light-only'),
  { section: '5.6', row: 'age for work: grown, no stop', ask: () => cautions({ activities: ['ski-front'], families: ['H02'] }).filter((each) => each.startsWith('stop')), says: [] },
  has('front clip: an end date', { activities: ['learning-puller'], families: ['H08'] }, 'confirm front-clip'),
  has('front clip: never on a puppy', { dog: puppy, activities: ['learning-puller'], families: ['H08'] }, 'stop front-clip'),
  has('running harness: not for pulling in front', { activities: ['front-of-runner'], families: ['H10'], pulls: true }, 'stop running-in-front'),
  has('a pet shop’s label: check what carries the load', { activities: ['sled-team'], families: ['H11'] }, 'note buy-from-workers'),
  has('tether: nothing trailing in the car', { activities: ['car'], families: ['H24'] }, 'confirm tether'),
  has('heat: above 10 °C no sport', { activities: ['sled-team'], families: ['H11'], airC: 14 }, 'stop heat'),
  has('heat: humidity lowers it', { activities: ['sled-team'], families: ['H11'], airC: 9, humidity: 95 }, 'confirm humid'),
  has('flat faces: no draught sport', { dog: dog({ flatFace: true }), activities: ['bike-front'], families: ['H02'] }, 'stop flat-face-no-draught'),
  has('flat faces: Y low and wide', { dog: dog({ flatFace: true }), activities: ['stroll'], families: ['H01'] }, 'note flat-face-y-low'),
  has('flat faces: the crate a tenth larger', { dog: dog({ flatFace: true }), families: ['K2'] }, 'confirm flat-face-crate'),
  has('flat faces: no rigid hood', { dog: dog({ flatFace: true }), families: ['C3'] }, 'confirm flat-face-hood'),
  has('windpipe: stop and refit', { families: ['H01'] }, 'note windpipe'),
  has('soft tissue: no loaded strap behind the last rib', { activities: ['sled-team'], families: ['H11'] }, 'note soft-tissue'),
  has('first outings', { activities: ['sled-team'], families: ['H11'] }, 'note first-outings'),
  has('injury, stitches, pregnancy', { dog: dog({ sparing: true }), activities: ['stroll'], families: ['H01'] }, 'confirm sparing'),
  has('crate: never as punishment', { families: ['K1'] }, 'note crate-no-punishment'),
  has('unattended: nothing left on', { families: ['C1'] }, 'note unattended'),
  // 6.1, common practice; quick-ship and second-hand of harnesses from memory, unverified.
  { section: '6.1', row: 'stock for a dog that does not pull yet', ask: () => [way({ beginner: true }, 'stock')?.verdict, way({ beginner: true }, 'made')?.reasons.some(({ code, for: good }) => code === 'first-weeks' && !good)], says: ['first', true] },
  { section: '6.1', row: 'stock not where two dimensions are outside the chart', ask: () => rankWays({ options: [{ way: 'stock', grade: 'doubt', misses: 2, orderBy: null, peak: false, onShelf: null, price: null }, { way: 'made', grade: 'holds', misses: 0, orderBy: null, peak: false, onShelf: null, price: null }], today: on, neededOn: null, growing: false, beginner: false, oddBody: false, budget: null, views: {}, forCar: false, isCrate: false })[0]?.way, says: 'made' },
  { section: '6.1', row: 'quick-ship once the season has started', ask: () => rankWays({ options: [{ way: 'quick-ship', grade: 'holds', misses: 0, orderBy: null, peak: true, onShelf: null, price: null }], today: on, neededOn: null, growing: false, beginner: false, oddBody: false, budget: null, views: {}, forCar: false, isCrate: false })[0]?.reasons.some(({ code, for: good }) => code === 'season' && good), says: true },
  { section: '6.1', row: 'made for deep, short and giant bodies', ask: () => way({ oddBody: true }, 'made')?.verdict, says: 'first' },
  { section: '6.1', row: 'made not while it grows', ask: () => way({ growing: true }, 'made')?.reasons.some(({ code, for: good }) => code === 'growing' && !good), says: true },
  { section: '6.1', row: 'second-hand only after seams and sliders', ask: () => way({}, 'second-hand')?.reasons.some(({ code }) => code === 'check-seams'), says: true },
  { section: '6.1', row: 'crash gear never second-hand, crates may be', ask: () => [way({ forCar: true }, 'second-hand')?.verdict, way({ isCrate: true }, 'second-hand')?.reasons.some(({ code }) => code === 'check-seams')], says: ['not-now', false] },
  // 6.2: cross-back, running plate, rain suit, rug, crate of a puppy and custom lengths common practice; the rest from memory, unverified.
  { section: '6.2', row: 'cross-back: down', ask: () => between('H11'), says: 'down' },
  { section: '6.2', row: 'running plate: up', ask: () => between('H10'), says: 'up' },
  { section: '6.2', row: 'rain suit: down', ask: () => between('C4'), says: 'down' },
  { section: '6.2', row: 'walking and assist by girth: room both ways', ask: () => [between('H01'), between('H09')], says: ['room', 'room'] },
  { section: '6.2', row: 'fixed-neck vest: up', ask: () => between('H05'), says: 'up' },
  { section: '6.2', row: 'rug: long for a growing dog, room both ways for a grown one', ask: () => [between('C1', true), between('C1')], says: ['up', 'room'] },
  { section: '6.2', row: 'boots: width decides, sled booties down', ask: () => [between('B2'), between('B1')], says: ['up', 'down'] },
  { section: '6.2', row: 'car harness: by the larger ring', ask: () => betweenRule({ family: 'H24', between: null }).because, says: 'larger-ring' },
  { section: '6.2', row: 'crate: stand, turn, lie', ask: () => betweenRule({ family: 'K1', between: null }).because, says: 'stand-turn-lie' },
  { section: '6.2', row: 'the maker’s own rule goes before all of it', ask: () => [betweenRule({ family: 'H11', between: 'up' }).rule, betweenRule({ family: 'C4', between: null, rules: { cut: 'snug' } }).rule], says: ['up', 'up'] },
  // 6.3: the dog that backs out and the short dog on a chart of girths from memory, unverified; the rest common practice.
  { section: '6.3', row: 'neck says S, the length says shorter: leave the family', ask: () => disagree('H11', [{ label: 'S', bands: { M01: [400, 440], M13: [600, 660] } }], { M01: 420, M13: 500 }), says: ['S', 'length-veto'] },
  { section: '6.3', row: 'neck right, sides too short: armpit', ask: () => disagree('H11', [{ label: 'S', bands: { M01: [400, 440], M10: [300, 330] } }], { M01: 420, M10: 380 }), says: ['S', 'armpit'] },
  { section: '6.3', row: 'a little past the tail, all else right: accept', ask: () => disagree('H11', [{ label: 'S', bands: { M01: [400, 440], M13: [600, 660] } }], { M01: 420, M13: 585 }), says: ['S', 'past-tail-accept'] },
  { section: '6.3', row: 'both fit standing: the smaller for pulling', ask: () => disagree('H11', [{ label: 'S', bands: { M01: [400, 440] } }, { label: 'M', bands: { M01: [440, 480] } }], { M01: 440 })[0], says: 'S' },
  { section: '6.3', row: 'neck thicker than head: it may back out', ask: () => disagree('H01', [{ label: 'M', bands: { M07: [600, 700] } }], { M07: 650, M02: 460, M04: 420 })[1], says: 'neck-over-head' },
  { section: '6.3', row: 'girth one size, neck another: the girth where the neck is adjustable', ask: () => disagree('H01', [{ label: 'S', bands: { M07: [500, 600], M01: [400, 440] } }, { label: 'M', bands: { M07: [600, 700], M01: [440, 480] } }], { M07: 650, M01: 420 }), says: ['M', 'girth-decides'] },
  { section: '6.3', row: 'and the neck where it is not', ask: () => disagree('H05', [{ label: 'S', bands: { M07: [500, 600], M01: [400, 440] } }, { label: 'M', bands: { M07: [600, 700], M01: [440, 480] } }], { M07: 650, M01: 420 })[1], says: 'neck-decides' },
  { section: '6.3', row: 'girth alone, a short dog: look where the rear strap lies', ask: () => disagree('H01', [{ label: 'M', bands: { M07: [600, 700] } }], { M07: 650, M14: 400 })[1], says: 'girth-alone-short-dog' },
  { section: '6.3', row: 'the order on pulling gear: neck, sides, length', ask: () => families.H11.decides.slice(0, 4), says: ['M01', 'M10', 'M11', 'M12'] },
  { section: '6.3', row: 'the order on walking gear: plate, girth, ring, back', ask: () => families.H01.decides, says: ['M06', 'M07', 'M08', 'M01', 'M02', 'M14'] },
  // 6.4: three legs and the long low body from memory, unverified; the rest common practice.
  { section: '6.4', row: 'giant, broad: made to measure weighs more', ask: () => speaks('H01', 'stroll', 'giant', {}, { breed: 'Irish Wolfhound', weightKg: 60 }), says: true },
  { section: '6.4', row: 'short back, big neck: the short pull, not the cross-back', ask: () => { const form = solveForm({ M01: { mm: 482.6, sigmaMm: 5 }, M13: { mm: 355.6, sigmaMm: 5 } }, { build: 'molosser' }); return [speaks('H21', 'sled-team', 'short-back-thick-neck', {}, {}, form), speaks('H11', 'sled-team', 'short-back-thick-neck', {}, {}, form)] }, says: [true, false] },
  { section: '6.4', row: 'deep narrow chest: the bridge', ask: () => speaks('H16', 'sled-team', 'deep-narrow-chest', {}, { breed: 'Greyhound' }, solveForm({}, { breed: 'Greyhound' })), says: true },
  { section: '6.4', row: 'very fluffy: less padding needed', ask: () => speaks('H16', 'sled-team', 'thick-coat', { coat: 'thick-double' }, { coat: 'thick-double' }), says: false },
  { section: '6.4', row: 'tall in the team: wheel and stick harness', ask: () => ['H19', 'H20'].map((family) => speaks(family as FamilyId, 'wheel-place', 'near-the-load', { wheelPlace: true })), says: [true, true] },
  { section: '6.4', row: 'three legs: the assist harness', ask: () => speaks('H09', 'stroll', 'three-legs', { threeLegs: true }), says: true },
  { section: '6.4', row: 'sighthound: an assist type with a second strap', ask: () => speaks('H09', 'stroll', 'tucked-up', {}, { breed: 'Greyhound' }, solveForm({}, { breed: 'Greyhound' })), says: true },
  // 8.6: rules common practice, angles and bands from memory, unverified.
  { section: '8.6', row: 'low hitch at the tail base, high further forward, near the load below the tail', ask: () => [families.H11.pull, families.H14.pull, families.H19.pull, families.H20.pull], says: ['tail-base', 'mid-back', 'below-tail', 'below-tail'] },
  ...([[-400, [-22, -13, -9, -8]], [-200, [-11, -6, -5, -4]], [0, [0, 0, 0, 0]], [200, [11, 6, 5, 4]], [400, [22, 13, 9, 8]], [600, [31, 18, 13, 11]]] as const).map(
    ([riseMm, degrees]): HandbookRow => ({
      section: '8.6',
      row: `a rise of ${riseMm / 10} cm over 100, 180, 250 and 300 cm`,
      ask: () => [1000, 1800, 2500, 3000].map((lineMm) => Math.round((hitchLine({ hitchMm: 500 + riseMm, pullPointMm: 500, horizontalMm: lineMm }).angleRad * 180) / Math.PI) + 0),
      says: degrees,
    }),
  ),
] // prettier-ignore
