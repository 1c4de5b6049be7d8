/** The fixed words of the trade and the shop, as plain lists: the schemas, the pages and the tables of gear are made from them. */

/** Gear families and other items (handbook 5.2 and 5.5). */
export const FAMILY_IDS = [
  'H01', 'H02', 'H03', 'H04', 'H05', 'H06', 'H07', 'H08', 'H09', 'H10', 'H11', 'H12', 'H13', 'H14', 'H15', 'H16', 'H17', 'H18', 'H19', 'H20', 'H21', 'H22', 'H23', 'H24',
  'C1', 'C2', 'C3', 'C4', 'C5',
  'B1', 'B2', 'B3',
  'K1', 'K2', 'K3', 'K4',
] as const // prettier-ignore

/** What the dog will do: the columns of handbook 5.3 that are activities. */
export const ACTIVITIES = [
  'stroll',
  'learning-puller',
  'long-hike',
  'scramble',
  'beside-runner',
  'front-of-runner',
  'bike-front',
  'bike-side',
  'ski-front',
  'sled-team',
  'wheel-place',
  'weight-drag',
  'cart',
  'tracking',
  'car',
] as const

/** What it needs beside its work (handbook 5.1, 5.5): keep dry, keep warm, ride in a crate or car, fly, paws on a footing, sleep and train at home. */
export const NEEDS = ['dry', 'warm', 'ride', 'fly', 'paws', 'home'] as const
/** What its paws go on, where that asks for boots (handbook 5.5). */
export const FOOTINGS = ['snow', 'rock', 'hot', 'salt', 'indoor'] as const

/** How the dog goes, dresses and stands: what choosing asks beside the tapes (handbook 5.1). */
export const TRAITS = ['crabs', 'swings', 'flexes', 'sits-close', 'head-shy', 'wriggles', 'chews', 'backs-out', 'three-legs'] as const

/** Where in a team it runs. */
export const TEAM_PLACES = ['lead', 'middle', 'wheel'] as const

/** The three ways to get a piece, and an item nobody has decided on. */
export const TABLE_WAYS = ['stock', 'quick-ship', 'made'] as const
export const ITEM_WAYS = [...TABLE_WAYS, 'undecided'] as const

export const COAT_CLASSES = ['smooth', 'short-double', 'thick-double', 'wire', 'curly', 'long', 'hairless'] as const
export const SEXES = ['male', 'female'] as const

/** Notes a later measuring must know of (handbook 4.7), and events after which a dog is measured anew (4.8). */
export const DOG_NOTE_KINDS = [
  'lump',
  'scar',
  'injury',
  'stitches',
  'pregnant',
  'whelped',
  'neutered',
  'surgery',
  'lay-off',
  'missing-limb',
  'coat-change',
  'chafe',
  'cough',
  'gait',
  'refuses-gear',
  'other',
] as const

/** Views a customer is asked for (handbook 11). */
/** Whole dogs, and the flattened sheet of a traced paw. */
export const PHOTO_VIEWS = ['front', 'side', 'top', 'paw'] as const
export const PHOTO_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const
/** Largest photograph kept, bytes. */
export const PHOTO_BYTES = 2 * 1024 * 1024

/** Whose a piece is, and in what state. */
export const PIECE_HOMES = ['shop', 'loan', 'kennel'] as const
export const PIECE_STATES = ['new', 'good', 'worn', 'to-mend'] as const

/** How a length was got off the dog; it changes the error to expect (handbook 4.5). */
export const METHODS = ['tape', 'string', 'loop', 'garment', 'digital', 'square', 'tracing', 'scale'] as const
/** State of the coat while it was measured (handbook 4.1). */
export const COAT_STATES = ['dry', 'wet', 'clipped', 'winter', 'matted'] as const
/** Dewclaws of one leg (M37): none there, one, two. */
/** How a car harness is built: two strong buckles, or a panel with straps set at the dog. */
export const CAR_BUILDS = ['two-buckle', 'panel'] as const
export const DEWCLAWS = ['none', 'single', 'double'] as const
export const SIDES = ['both', 'one'] as const
export const UNITS = ['in', 'cm', 'mm', 'kg', 'lb'] as const

/** The four paws, as boots and their tapes name them. */
export const PAW_PLACES = ['front-left', 'front-right', 'rear-left', 'rear-right'] as const
/**
 * Which one of several things a measure exists of: a side of the dog, a paw, a finger gauge, the height or the length
 * of a hitch. `null` where the measure is one.
 */
export const PLACES = ['left', 'right', ...PAW_PLACES, 'height', 'line', 'index', 'two', 'four', 'hand'] as const

/** Measuring school of a full-length pulling harness: A counts from the breastbone, B from the withers (handbook 3.2). */
export const SCHOOLS = ['A', 'B'] as const

/** Questions on which practitioners disagree and the shop may take a side (handbook 13). */
export const DISAGREEMENT_IDS = ['D10', 'D11', 'D17', 'D18', 'D21', 'D22', 'D23', 'D24', 'D27'] as const

/** Facts that are appended and never changed: a mark can stand on each. */
export const MARKED_KINDS = ['reading', 'acknowledgement', 'as-written', 'choice', 'hitch', 'set-up', 'try-on', 'observation', 'symptom', 'setting'] as const

/** What a dog draws. */
export const RIG_KINDS = ['cart', 'wagon', 'runners', 'drag'] as const

/** The ladder of habituation to drafting (handbook 8.8, from memory, unverified): wear it, draw lines, an empty cart, a load. */
export const RUNGS = ['wear', 'lines', 'empty', 'load'] as const

/** Where in a car a place is, and what is known of the air bag ahead of it. */
export const CAR_ROWS = ['front', 'rear'] as const
export const AIR_BAGS = ['none', 'off', 'on', 'unknown'] as const

/** The harness as it hangs, in the pull, on the move. */
export const PULL_STATES = ['slack', 'pulling', 'moving'] as const

export const GRADES = ['holds', 'doubt', 'fails', 'none'] as const

/** What a garment is made of, how it is cut, where its hem lies and how it is closed. */
export const CLOTHS = ['woven', 'fleece', 'knit'] as const
export const CUTS = ['plain', 'shaped'] as const
export const HEMS = ['elbow', 'belly', 'short'] as const
export const FASTENINGS = ['strips-clips', 'band-buckle', 'one-button', 'two-buttons', 'sewn-shut'] as const
export const EASE_ZONES = ['girthMm', 'neckMm', 'headMm', 'lengthMm'] as const
export const GARMENT_FAMILIES = ['C1', 'C2', 'C3', 'C4', 'C5'] as const

/** What an item can be settled on. */
export const CHOICE_KINDS = ['size', 'gear', 'series', 'paws', 'made', 'set-up', 'pattern'] as const

/** Those that stand beside what an item was chosen to wear, and replace no size. */
export const CHOICES_BESIDE = ['set-up', 'pattern'] as const

/** Where the other end of the line is. */
export const HITCH_PLACES = ['hand', 'belt', 'bike-front', 'side-arm', 'ski-belt', 'sled', 'cart', 'wheel'] as const

/** Whose a ticket is: a dog's, a counter's without a record, a practice of the bench. */
export const TICKET_KINDS = ['real', 'counter', 'practice'] as const
