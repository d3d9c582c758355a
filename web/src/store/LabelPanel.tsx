import { useState } from 'react'
import type { ItemState } from '@logged-thermal/core'
import { useEnter } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Key } from '../kit/Key'
import { Stepper } from '../kit/Stepper'
import { clsx } from 'clsx'
import styles from './item.module.css'

type Paper = 'roll' | 'a4' | 'letter'
const PAPER: Record<Paper, string> = { roll: 'Roll', a4: 'A4, 24', letter: 'Letter, 10' }

/** The label as it is printed, on which paper and how many; every printing is counted. */
export function LabelPanel({ item }: { item: ItemState }) {
  const enter = useEnter()
  const { open } = useHand(useLine())
  const [paper, setPaper] = useState<Paper>('roll')
  const [copies, setCopies] = useState(1)
  const version = `${item.moves.length}-${item.opened.length}-${item.labels}`
  return (
    <section aria-label="Label">
      <h2 className={clsx('title', styles.head)}>
        Label <small>{item.labels === 0 ? 'not printed yet' : `${item.labels} printed`}</small>
      </h2>
      <img
        className={styles.labelPicture}
        src={`/api/labels/${item.id}.png?v=${version}`}
        alt={`Label of ${item.name} ${item.code}`}
      />
      <ChoiceKeys
        name="Paper"
        options={['roll', 'a4', 'letter'] as const}
        chosen={paper}
        words={(each) => PAPER[each]}
        onChoose={setPaper}
      />
      <div className={styles.labelPrint}>
        <Stepper
          name="Copies"
          value={String(copies)}
          onStep={(by) => setCopies(Math.min(200, Math.max(1, copies + by)))}
        />
        <Key
          disabled={!open}
          onClick={() => {
            window.open(`/api/labels/sheet.pdf?items=${item.id}&copies=${copies}&paper=${paper}`, '_blank', 'noopener')
            enter('label-printed', item.id, { copies })
          }}
        >
          {item.labels === 0 ? 'Print labels' : 'Print again'}
        </Key>
      </div>
    </section>
  )
}
