import { CLAIMS, readClaim } from '@merry-tailor/core'
import { TextField } from '../../ui/controls/TextField'
import { CLAIM_WORDS, claimSays } from './seat-words'

/** What makers say their harness holds, what it says in numbers, and what it leaves unsaid. */
export function Claims({ makers, claim, onClaim }: { makers: readonly { name: string; claim: string }[]; claim: string; onClaim: (text: string) => void }) {
  return (
    <section aria-label="What the makers say">
      <h2 className="text-[18px] leading-6">What the makers say</h2>
      <ul>
        {makers.map((each) => (
          <li key={each.name} className="border-b border-rule py-1.5">
            <OneClaim {...each} />
          </li>
        ))}
      </ul>
      <div className="pt-2">
        <TextField
          label="What its label or maker claims"
          value={claim}
          maxLength={300}
          placeholder="30 mph, 75 lb, 4,000 lbf"
          onChange={(event) => onClaim(event.target.value)}
        />
        {claim.trim() !== '' && <OneClaim name="This one" claim={claim} />}
      </div>
      <p className="pt-1 text-[14px] text-mute">No standard here was written for dogs.</p>
    </section>
  )
}

function OneClaim({ name, claim }: { name: string; claim: string }) {
  const read = readClaim(claim)
  const { says, silent } = claimSays(read)
  return (
    <div className="text-[14.5px] leading-[18px]">
      <p className="flex items-baseline justify-between gap-2 text-[15.5px]">
        <b>{name}</b> <b className="text-right">{says.join(', ') || 'no number'}</b>
      </p>
      <p>“{claim}”</p>
      <p className="text-mute">Says not: {silent.join(', ')}.</p>
      {CLAIMS.filter(({ id }) => read.standards.includes(id)).map(({ id, source }) => (
        <p key={id}>
          <b>{source}:</b> {CLAIM_WORDS[id].says} {CLAIM_WORDS[id].saysNot}
        </p>
      ))}
    </div>
  )
}
