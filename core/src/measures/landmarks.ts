/**
 * Landmarks of the handbook, chapter 2, by feel.
 * Source: common practice; L05, L09, L10, L11, L23 and L25 from memory, unverified.
 */
export const landmarks = {
  L01: { name: 'Breastbone lump', feel: 'Stroke the keel up the midline until it forms a lump, then drops into the hollow.' },
  L02: { name: 'Last sternum bone', feel: 'Stroke the keel back until firm bone turns to soft belly.' },
  L03: { name: 'Withers', feel: 'Follow the neck’s upper edge back to the crest between the blades.' },
  L04: { name: 'Upper blade rim', feel: 'Swing the foreleg: the plate that glides is the blade.' },
  L05: { name: 'Point of shoulder', feel: 'Front knob where blade meets upper arm.' },
  L06: { name: 'Elbow', feel: 'Bony tip at the rear top of the foreleg.' },
  L07: { name: 'Armpit', feel: 'Skin fold inside and behind the elbow.' },
  L08: { name: 'Front wrist', feel: 'Joint that bends when the paw is lifted.' },
  L09: { name: 'Pastern', feel: 'Slim part between wrist and paw.' },
  L10: { name: 'Dewclaw', feel: 'Inner side above the front paw.' },
  L11: { name: 'Paw, widest part', feel: 'Across the outer toes while the paw carries weight.' },
  L12: { name: 'Last rib', feel: 'Rub the flank forward to the first bony arch; use the crossing on the tape’s own line.' },
  L13: { name: 'Last true rib', feel: 'Last rib that joins the breastbone.' },
  L14: { name: 'Tail base', feel: 'Lift the tail: where it leaves the body.' },
  L15: { name: 'Hips', feel: 'Two bony points ahead of the tail.' },
  L16: { name: 'Waist', feel: 'Narrowest ring between ribs and thighs.' },
  L17: { name: 'Sheath or vulva', feel: 'Look and feel.' },
  L18: { name: 'Collar line', feel: 'Where a collar lies, upper to mid neck.' },
  L19: { name: 'Neck base', feel: 'Thickest ring of the neck, a little ahead of the withers.' },
  L20: { name: 'Ear base', feel: 'Lower rear root of the ear.' },
  L21: { name: 'Front span ends', feel: 'Front edge of each shoulder.' },
  L22: { name: 'Middle of foreleg bone', feel: 'Centre of the leg column, from the front.' },
  L23: { name: 'Stifle and hock', feel: 'Hind knee at the flank fold; backward joint below.' },
  L24: { name: 'Windpipe zone', feel: 'Front of the neck above the lump.' },
  L25: { name: 'Ear tip, nose tip, skull, floor', feel: 'Highest points, standing and sitting.' },
} as const satisfies Record<string, { name: string; feel: string }>

export type LandmarkId = keyof typeof landmarks
export interface Landmark {
  name: string
  feel: string
}
