import { useState } from 'react'
import { decideMessages } from '@logged-thermal/wording'
import type { Id, LotState } from '@logged-thermal/core'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks } from '../kit/language'
import { SignedSheet } from '../login/SignedSheet'

const say = speaks(decideMessages)

interface Props {
  lot: Pick<LotState, 'id' | 'code' | 'name'>
  /** What is held of it; null: nothing. */
  item: Id | null
  /** Why nothing can be decided here; null: it can. */
  why?: string | null
}

/** The lead takes a lot that waits, or sends it back, with a reason. */
export function DecideLot({ lot, item, why = null }: Props) {
  const [deciding, setDeciding] = useState<'accept' | 'refuse' | null>(null)
  const what = `${lot.name} ${lot.code}`
  return (
    <>
      <KeyRow>
        <Key why={why} aria-label={`${say('takeLot')}, ${what}`} onClick={() => setDeciding('accept')}>
          {say('takeLot')}
        </Key>
        <Key
          look="outlined"
          why={why}
          aria-label={`${say('sendLotBack')}, ${what}`}
          onClick={() => setDeciding('refuse')}
        >
          {say('sendLotBack')}
        </Key>
      </KeyRow>
      {deciding && (
        <SignedSheet
          title={deciding === 'accept' ? say('takeLotTitle', { what }) : say('sendLotBackTitle', { what })}
          ask={say('whyOfLot')}
          least={1}
          kind="lot-decided"
          about={lot.id}
          body={(reason) => ({ verdict: deciding, reason, item })}
          onClose={() => setDeciding(null)}
        />
      )}
    </>
  )
}
