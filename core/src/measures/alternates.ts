/** What somebody else may mean by the name of a measure, and how the number then differs. */
export interface Alternate {
  /** The other definition, in words. */
  said: string
  /** The catalogue measure it really is, where it is one. */
  is?: string
  differs: string
  /** `same`: identical path. `identity`: exact arithmetic. `other`: never converted; take the drawn one instead. */
  converts: 'same' | 'identity' | 'other'
}

const other = (said: string, is: string | undefined, differs: string): Alternate => ({ said, differs, converts: 'other', ...(is ? { is } : {}) })
const same = (said: string): Alternate => ({ said, differs: 'The same path under another name.', converts: 'same' })

/** Source: handbook 3.2, common practice; the shares and centimetres from memory, unverified: only ever a warning. */
export const alternates: Readonly<Record<string, readonly Alternate[]>> = {
  M00: [other('Size by weight alone', undefined, 'Some makers do; a dog’s shape then decides by luck. Weight never stands for a tape.')],
  M01: [
    { said: 'One side, breastbone to withers', differs: 'Exactly half. Doubling it doubles its error too.', converts: 'identity' },
    same('The full ring in one go'),
    other('“Lower part of the neck”, no bones named', undefined, 'The path is unknown. Ask for the bones.'),
    other('Ring where the collar lies', 'M02', 'Clearly smaller, about 70 to 85 % of the harness neck. Never converted.'),
  ],
  M02: [
    other('Just “neck”', 'M01', 'Ask: where the collar lies, or down to the breastbone?'),
    other('Thickest ring of the neck', 'M03', 'Larger; it sits at the neck base.'),
  ],
  M03: [
    other('Harness neck', 'M01', 'Runs over the breastbone; not a ring of the neck itself.'),
    other('Head ring', 'M04', 'On a thick neck this one is larger: the opening follows the larger.'),
  ],
  M04: [other('Muzzle ring', undefined, 'Another ring, far smaller.')],
  M05: [other('Height of the finished collar', undefined, 'This length plus an addition by size; the maker adds it.')],
  M06: [
    same('“Mid rib”, “rib length” or “breastplate”'),
    other('Ends ahead of the forelegs', undefined, 'A wording that contradicts the route: it ends behind them.'),
  ],
  M07: [
    same('“Behind the front legs”, “barrel”, “thickest part”, “widest point”'),
    other('Ring at the sternum’s end', 'M08', 'Up to 1 cm less on a barrel chest, 2 to 6 cm less on a deep narrow one.'),
  ],
  M08: [other('Largest girth', 'M07', 'The same or larger; never smaller.')],
  M09: [other('From a maker’s chart without a drawing', undefined, 'It follows from no other tape. Ask for the drawing.')],
  M10: [
    other('Last rib from the withers', 'M11', 'School B, over the side: usually 0.55 to 0.85 of this one. Never converted.'),
    other('Overall length less rib to tail', 'M13', 'Only where all were read on one straight tape through one chalk mark.'),
  ],
  M11: [other('Last rib from the breastbone', 'M10', 'School A, under the body: longer. Never converted.')],
  M12: [other('Overall pulling length', 'M13', 'School B has that instead; it holds this one and the under-route in one line.')],
  M13: [
    {
      said: 'Under-route and rib to tail added',
      differs: 'Equal only on one straight tape through one chalk mark; otherwise this one is shorter.',
      converts: 'identity',
    },
    other('“Length” on a chart', 'M14', 'May be this, rib to tail, or back length: the most dangerous word of the trade.'),
  ],
  M14: [
    other('From the collar line', 'M15', 'Starts further forward: longer.'),
    other('From the neck base', 'M16', 'Starts further forward: this one is about 5 to 12 % shorter.'),
  ],
  M15: [
    other('From the neck base', 'M16', 'About the same, give or take 2 cm; not the same start.'),
    other('To the wished hem', undefined, 'The hem is a choice: it is kept with the number.'),
  ],
  M16: [other('From the withers', 'M14', 'Shorter by the neck base part.'), other('From the collar line', 'M15', 'About the same, give or take 2 cm.')],
  M17: [other('Half drop, doubled', 'M18', 'The same line only where the rug’s edge is at the elbow.')],
  M18: [{ said: 'Both sides in one go', differs: 'Exactly twice this one.', converts: 'identity' }],
  M19: [other('Straight across the chest', 'M20', 'Shorter: straight, where this one runs along the body.')],
  M20: [other('Along the chest front', 'M19', 'Longer: it follows the body.')],
  M21: [other('“Waist”', 'M22', 'Usually the narrowest ring; the band sits further forward.')],
  M22: [other('Ring where the band ends', 'M21', 'Larger, further forward.')],
  M23: [other('To the narrowest waist', undefined, 'It ends exactly on the band ring, nowhere else.')],
  M24: [other('The other sex’s length', undefined, 'Female longer than male: 0.82 on the one short-legged dog known.')],
  M25: [other('Leg “to the ankle”', 'M26', 'About 15 % shorter on one small dog; charts mix the two.')],
  M26: [other('Leg “to the floor”', 'M25', 'Longer; a suit cut by it drags.')],
  M28: [same('“To the knee”: the same joint as the wrist')],
  M32: [other('Width of a lifted paw', undefined, '10 to 20 % narrower.')],
  M34: [other('The front paw for all four', 'M32', 'The front is usually one size larger.')],
  M39: [other('Withers height', 'M45', 'The back, not the head.')],
  M40: [other('Top of the skull', 'M39', 'The same on drop ears, less on erect ones.')],
  M42: [other('With the tail', undefined, 'Crates count to the tail’s base.')],
  M45: [other('“Height”', 'M39', 'Ask: withers or head?')],
  M46: [other('Withers height', 'M45', 'Some call the withers “point of shoulder”; that is another place.')],
}
