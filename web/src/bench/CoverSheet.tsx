import type { BatchState, Cover } from '@logged-thermal/core'
import { coverWord } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { Key } from '../parts/Key'
import { Sheet } from '../parts/Sheet'

const COVERS: [Cover, string][] = [
  ['open', 'cools fastest, and a skin forms'],
  ['film on the surface', 'no skin; a little slower'],
  ['lid', 'slowest: warm air stands under it'],
]

/** How the batch stands to cool. */
export function CoverSheet({ batch, open, onClose }: { batch: BatchState; open: boolean; onClose: () => void }) {
  const enter = useEnter()
  const last = batch.covers.filter(({ void: gone }) => !gone).at(-1)?.value.cover
  return (
    <Sheet open={open} onClose={onClose} title="How does it stand to cool?">
      <div className="names">
        {COVERS.map(([cover, why]) => (
          <Key
            key={cover}
            look={cover === last ? 'primary' : 'plain'}
            onClick={() => {
              enter('covered', batch.id, { cover })
              onClose()
            }}
          >
            {coverWord[cover]}
            <small>{why}</small>
          </Key>
        ))}
      </div>
    </Sheet>
  )
}
