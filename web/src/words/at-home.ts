import { families, type FamilyId } from '@merry-tailor/core'

/**
 * What the owner reads at home, alone with the dog: how gear that fits looks there, and what to come back for.
 * Source: handbook 7.2, 10.3 (V48) and 7.3 (S01, S06, S08, S10, S11, S22 to S31), common practice.
 */
export function atHomeWords(family: FamilyId): { looks: string; back: string } {
  const { shelf, pull, kin } = families[family]
  if (shelf === 'pulling' && kin.includes('full-length'))
    return {
      looks: `Slack it looks short and bunches over the shoulders. Judge it with the end drawn back to where the dog pulls it, ${pull === 'below-tail' ? 'below the tail' : 'at the tail base'}.`,
      back: 'it chokes or coughs in the pull, a side strap lies in the armpit or behind the ribs, the end runs past its place, or the coat breaks.',
    }
  if (shelf === 'pulling' || shelf === 'drafting')
    return {
      looks: 'Slack it shifts about and says nothing. Judge it while the dog pulls lightly.',
      back: 'it chokes or coughs, a strap lies in the armpit or behind the ribs, the stride gets short, or the coat breaks.',
    }
  switch (shelf) {
    case 'car':
      return {
        looks: 'Every trip: buckles pushed home and tugged, straps lying flat, both sides equal.',
        back: 'it tips to one side, a strap creeps, the dog backs or steps out of it, or after any hard stop.',
      }
    case 'coat':
      return {
        looks: 'Standing it may look long; judge it walking and sitting.',
        back: 'it slips back or to a side, stops the shoulders, gets wet at the sheath, or the coat under it mats.',
      }
    case 'boot':
      return {
        looks: 'The first steps are high ones: give it minutes. Look at the paws after every outing.',
        back: 'a boot turns or comes off, nails push at the toe, a dewclaw is red, or the dog still limps in them; limping without them is the vet’s.',
      }
    case 'crate':
      return {
        looks:
          'It should stand, turn round and lie down in it, door open at first. Shops usually take one back for about 30 days, and change it for longer: ask the seller.',
        back: 'the head or ears touch the top, or it lies curled against the walls because it must. For a journey the carrier’s own rules decide.',
      }
    default:
      return {
        looks: 'Two fingers go flat under every strap, after a walk too: new webbing creeps.',
        back: 'it rolls to one side, rubs at the armpit, the front climbs or hangs, or the dog coughs or backs out.',
      }
  }
}
