import Stack from '@mui/material/Stack'
import { finishMessages, itemMessages, type Paper } from '@logged-thermal/wording'
import { useCallback, useState } from 'react'
import { isLabelOutdated, labellingOf, type ItemState } from '@logged-thermal/core'
import { useEnter } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { useAppSelector } from '../app/store'
import { ListKeys } from '../parts/ListKeys'
import { drawnAs, labelsHere } from './labelHere'
import { PrintedHere } from './PrintedHere'
import { limitsOfLine } from './useStore'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Key } from '../kit/Key'
import { Stepper } from '../kit/Stepper'
import { clsx } from 'clsx'
import styles from './item.module.css'
import { speaks } from '../kit/language'
import { shutUnless } from '../app/shut'

const say = speaks(itemMessages)
const finishWords = speaks(finishMessages)

const PAPER: Record<Paper, string> = { roll: say('roll'), a4: 'A4, 24', letter: say('letter10') }

/** The label as it is printed, on which paper and how many; every printing is counted. */
export function LabelPanel({ item }: { item: ItemState }) {
  const enter = useEnter()
  const line = useLine()
  const now = useNow(60_000)
  const { open, reader } = useHand(line)
  const there = useAppSelector(({ connection }) => connection.there)
  const [paper, setPaper] = useState<Paper>('roll')
  const [copies, setCopies] = useState(1)
  const [use, setUse] = useState<'kitchen' | 'sale'>('kitchen')
  const [printing, setPrinting] = useState(false)
  const printed = useCallback(() => setPrinting(false), [])
  const packed = line && labellingOf(limitsOfLine(line, now)?.ruleSet.key ?? '').packed
  const lacks = packed?.says === 'every ingredient' && !item.facts.ingredients
  const version = `${item.moves.length}-${item.opened.length}-${item.labels}-${item.reached.length}`
  const alt = say('labelOf', { item: item.name, code: item.code })
  // Without the server this tablet draws it, by the same art.
  const art = (of: Paper) => (line ? labelsHere(item, line, { paper: of, forSale: use === 'sale', now, reader }) : [])
  // What was put on it since, or told only after, has changed its date, its allergens or its code.
  const isOutOfDate = isLabelOutdated(item) || (item.labels === 0 && item.bornAs === 'item-finished')
  return (
    <section aria-label={say('label')}>
      <h2 className={clsx('title', styles.head)}>
        {say('label')}{' '}
        <small>{item.labels === 0 ? say('notPrintedYet') : say('printedLabels', { labels: item.labels })}</small>
      </h2>
      {isOutOfDate && (
        <p role="status">
          <strong>{finishWords('labelOutOfDate')}</strong>
        </p>
      )}
      {there ? (
        <img
          className={styles.labelPicture}
          src={`/api/labels/${item.id}.png?v=${version}${use === 'sale' ? '&use=sale' : ''}`}
          alt={alt}
        />
      ) : (
        art('roll').map((svg, i) => (
          <img key={i} className={styles.labelPicture} src={drawnAs(svg)} alt={i === 0 ? alt : ''} />
        ))
      )}
      <Stack spacing={1} useFlexGap>
        <ChoiceKeys
          name={say('labelFor')}
          options={['kitchen', 'sale'] as const}
          chosen={use}
          words={(each) => say(`labelFor_${each}`)}
          onChoose={setUse}
        />
        <ChoiceKeys
          name={say('paper')}
          options={['roll', 'a4', 'letter'] as const}
          chosen={paper}
          words={(each) => PAPER[each]}
          onChoose={setPaper}
        />
      </Stack>
      <div className={styles.labelPrint}>
        <Stepper
          name={say('copies')}
          value={String(copies)}
          onStep={(by) => setCopies(Math.min(200, Math.max(1, copies + by)))}
        />
        <Key
          why={shutUnless(open)}
          onClick={() => {
            if (there)
              window.open(
                `/api/labels/sheet.pdf?items=${item.id}&copies=${copies}&paper=${paper}${use === 'sale' ? '&use=sale' : ''}`,
                '_blank',
                'noopener',
              )
            else setPrinting(true)
            enter('label-printed', item.id, { copies })
          }}
        >
          {item.labels === 0 ? say('printLabels') : say('printAgain')}
        </Key>
      </div>
      {item.labels > 0 && <ListKeys list="labels" name={say('labelsPrinted')} of={item.id} reader={reader} />}
      {printing && <PrintedHere art={art(paper)} copies={copies} paper={paper} onDone={printed} />}
      {use === 'sale' && packed && (
        <p role="status" className="muted">
          {lacks
            ? say('noIngredients')
            : say('saleSays', {
                says: packed.says === 'every ingredient' ? 'all' : 'allergens',
                source: `${packed.source.document}, ${packed.source.section}, ${packed.source.edition}`,
              })}
        </p>
      )}
    </section>
  )
}
