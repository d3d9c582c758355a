import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { checkReference, mayBeReference, type Against, type InstrumentState } from '@logged-thermal/core'
import { instrumentCheckMessages, instrumentsMessages } from '@logged-thermal/wording'
import { useGoOn } from '../app/enter'
import { useHand, useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useNow } from '../app/now'
import { shutUnless } from '../app/shut'
import { View } from '../app/View'
import { ChoiceKeys } from '../kit/ChoiceKeys'
import { Whole } from '../kit/Whole'
import { speaks } from '../kit/language'
import { BufferCheck } from './BufferCheck'
import { CheckBoard, temperatureIn } from './CheckBoard'
import { altitudeIn, CheckedAgainst, NOT_SAID, type How, type Said } from './CheckedAgainst'
import { CheckSlab } from './CheckSlab'
import { ErrorScale } from './ErrorScale'
import { SlushPicture } from './SlushPicture'
import { Steps } from './Steps'
import { useCheck } from './useCheck'
import styles from './check.module.css'

const say = speaks(instrumentCheckMessages)
const told = speaks(instrumentsMessages)

/** An instrument is checked: guided from the slush to the result, and nothing entered before that is seen. */
export function CheckView() {
  const line = useLine()
  const { id } = useParams()
  const instrument = line?.instruments.find((each) => each.id === id)
  if (!line) return null
  if (!instrument) return <Whole>{told('noSuch')}</Whole>
  return instrument.kind === 'ph' ? (
    <BufferCheck instrument={instrument} />
  ) : (
    <ThermometerCheck key={instrument.id} line={line} instrument={instrument} />
  )
}

function ThermometerCheck({ line, instrument }: { line: LineData; instrument: InstrumentState }) {
  const now = useNow(500)
  const navigate = useNavigate()
  const goOn = useGoOn()
  const { reader, open } = useHand(line)
  const [how, setHow] = useState<How>('ice')
  const [said, setSaid] = useState<Said>({ ...NOT_SAID, altitude: lastAltitude(line) })
  const others = line.instruments.filter((each) => each.id !== instrument.id && mayBeReference(each, now))
  const other = others.find((each) => each.id === said.other) ?? null
  const against = againstOf(how, said, other, reader.scale)
  const check = useCheck(instrument, against, other)
  const reference = against ? checkReference(against, now, other) : 0
  const { code } = instrument
  const log = () => {
    const found = check.log()
    if (found) goOn(found.passed ? '/instruments' : `/instruments/${instrument.id}/look-back`)
  }
  return (
    <View
      place="instrumentCheck"
      seconds
      sentence={
        <>
          <strong>{say(`checking_${how}`, { code })}</strong> {say('readings', { count: check.shown.length })}
        </>
      }
    >
      <div className={styles.check}>
        <div className={styles.work}>
          <div className={styles.glass} data-stage={check.stage}>
            <Steps stage={check.stage} />
            <SlushPicture how={how} />
            <ErrorScale shown={check.shown} reference={reference} tolerance={instrument.tolerance} reader={reader} />
          </div>
          {check.stage === 'prepare' ? (
            <div className={styles.how}>
              {instrument.kind === 'probe' || others.length > 0 ? (
                <ChoiceKeys
                  name={say('checkHow')}
                  options={HOWS.filter((each) => each !== 'boiling' || instrument.kind === 'probe')}
                  chosen={how}
                  words={(each) => say(`how_${each}`)}
                  onChoose={setHow}
                />
              ) : null}
              <CheckedAgainst {...{ how, said, others, reader }} onSaid={setSaid} />
            </div>
          ) : (
            <CheckBoard
              code={code}
              scale={reader.scale}
              reference={reference}
              shown={check.shown}
              shut={check.stage === 'result' || !open}
              onTake={check.take}
              onMoving={check.moving}
              onStartOver={check.startOver}
            />
          )}
        </div>
        <CheckSlab
          {...{ instrument, check, now, reader }}
          why={shutUnless(open) ?? (against ? null : say(how === 'boiling' ? 'wrongAltitude' : 'noneToCompare'))}
          onLog={log}
          onStop={() => void navigate('/instruments')}
        />
      </div>
    </View>
  )
}

type ThermometerAgainst = Exclude<Against, { kind: 'buffers' | 'certificate' }>

const HOWS: readonly How[] = ['ice', 'boiling', 'instrument']

/** The altitude that water was last boiled at here. */
function lastAltitude({ instruments }: LineData): string {
  const boiled = instruments
    .flatMap(({ history }) => history)
    .flatMap(({ against, at }) => (against.kind === 'boiling' ? [{ at, altitude: against.altitude }] : []))
    .sort((a, b) => b.at - a.at)[0]
  return boiled ? String(boiled.altitude) : '0'
}

/** null while it is not said, or is no altitude and no temperature. */
function againstOf(how: How, said: Said, other: InstrumentState | null, scale: 'C' | 'F'): ThermometerAgainst | null {
  if (how === 'ice') return { kind: 'ice' }
  if (how === 'boiling') {
    const altitude = altitudeIn(said.altitude)
    return altitude === null ? null : { kind: 'boiling', altitude }
  }
  const value = temperatureIn(said.shown, scale)
  return other && value !== null ? { kind: 'instrument', id: other.id, shown: { value, unit: scale } } : null
}
