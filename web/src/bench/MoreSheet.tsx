import { benchSheetsMessages } from '@logged-thermal/wording'
import { factsOf, type BatchState, type Method } from '@logged-thermal/core'
import { useAppDispatch, useAppSelector } from '../app/store'
import { tablet } from '../app/tablet'
import { Key } from '../kit/Key'
import { Sheet } from '../kit/Sheet'
import type { BenchSheet } from './benchSheet'
import { useMethodOf } from '../app/instructions'
import { NameKeys } from '../kit/NameKeys'
import { shutUnless } from '../app/shut'
import { speaks } from '../kit/language'

const say = speaks(benchSheetsMessages)

interface Props {
  batch: BatchState
  open: boolean
  onClose: () => void
  onSheet: (sheet: BenchSheet) => void
  awake: boolean
  mayWrite: boolean
}

const NOTHING_ELSE = () => null

/** What is needed now and then, each with what it is for. */
export function MoreSheet({ batch, open, onClose, onSheet, awake, mayWrite }: Props) {
  const dispatch = useAppDispatch()
  const loudness = useAppSelector((state) => state.tablet.loudness)
  const method = useMethodOf(batch)
  const keys: { sheet: BenchSheet; name: string; why: string; writes?: true }[] = [
    { sheet: 'steps', name: say('steps'), why: say('allThemWhatDone') },
    { sheet: 'eggs', name: say('eggs'), why: say('lotsTallyWhatLeft') },
    { sheet: 'temper', name: say('tempering'), why: say('howMuchHotLiquid') },
    { sheet: 'add', name: say('add'), why: say('butterSpiritZestPur'), writes: true },
    { sheet: 'cooling', name: say('cooling'), why: say('whereStandsCoverPans'), writes: true },
    { sheet: 'parts', name: say('parts'), why: say('itemsFromColdStore'), writes: true },
    { sheet: 'tool', name: say('tools'), why: say('sieveChurnWhatWasIn'), writes: true },
    { sheet: 'put away', name: say('putAway'), why: say('portionsWithTheirDate'), writes: true },
    { sheet: 'rewarm', name: say('warmedAgain'), why: say('meltedMouldedBakedOnce'), writes: true },
    { sheet: 'paper', name: say('fromPaper'), why: say('sheetWrittenWithout'), writes: true },
    { sheet: 'logger', name: say('logger'), why: say('whatLoggerWrote'), writes: true },
    { sheet: 'acidity', name: 'pH', why: say('whetherNeedsTemperatureControl') },
  ]
  return (
    <Sheet open={open} onClose={onClose} title={say('moreAbout', { code: batch.code })}>
      <NameKeys>
        {keys.map(({ sheet, name, why, writes }) => (
          <Key key={name} why={writes ? shutUnless(mayWrite) : null} onClick={() => onSheet(sheet)}>
            {name}
            <small>{why}</small>
          </Key>
        ))}
        <Key look="outlined" onClick={() => dispatch(tablet.actions.loudnessTurned())}>
          {say('soundLoudness', { loudness })}
          <small>{say('atFloorAtCeiling')}</small>
        </Key>
      </NameKeys>
      <p className="muted">{awake ? say('screenStaysAwakeWhile') : say('screenMayFallAsleep')}</p>
      {method && <Strength method={method} />}
    </Sheet>
  )
}

/** Alcohol is for the label: it earns nothing on the date. */
function Strength({ method }: { method: Method }) {
  const { alcoholByVolume } = factsOf(method, NOTHING_ELSE)
  if (alcoholByVolume < 0.001) return null
  return <p>{say('aboutAlcoholByVolume', { alcoholByVolume: (alcoholByVolume * 100).toFixed(1) })}</p>
}
