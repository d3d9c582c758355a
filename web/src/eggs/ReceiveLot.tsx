import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { EGG_SIZES, type EggSize, type LotReceived } from '@logged-thermal/core'
import { useEnter } from '../app/enter'
import { useLine } from '../app/kitchen'
import { Key } from '../parts/Key'

type How = 'shell' | 'bought' | 'heated here'

const HOLDS = [
  ['egg', 'Whole egg'],
  ['yolk', 'Yolk'],
  ['white', 'White'],
] as const

/** A lot that is not on the list yet: what stands on it. A pasteurized one names its certificate. */
export function ReceiveLot({ onDone }: { onDone: (id: string | null) => void }) {
  const enter = useEnter()
  const limits = useLine()?.limits?.id ?? ''
  const [how, setHow] = useState<How>('shell')
  const [holds, setHolds] = useState<string>('egg')
  const [size, setSize] = useState<EggSize>('US L')
  const [code, setCode] = useState('')
  const [supplier, setSupplier] = useState('')
  const [useBy, setUseBy] = useState('')
  const [certificate, setCertificate] = useState('')
  const [wrong, setWrong] = useState<string | null>(null)
  const save = () => {
    if (code.trim() === '') return setWrong('Which lot is it? Write down what stands on the tray or carton.')
    if (supplier.trim() === '') return setWrong('Who is it from?')
    if (how === 'bought' && certificate.trim() === '')
      return setWrong("A pasteurized lot names its maker's certificate.")
    const pasteurized: LotReceived['pasteurized'] =
      how === 'shell'
        ? null
        : how === 'bought'
          ? { by: 'maker', certificate: certificate.trim() }
          : { by: 'this kitchen', limits }
    const id = uuid()
    enter('lot-received', id, {
      code: code.trim(),
      ingredient: how === 'shell' ? 'egg' : holds,
      form: how === 'shell' ? 'shell' : 'pasteurized',
      size: how === 'shell' ? size : null,
      supplier: supplier.trim(),
      useBy: useBy === '' ? null : useBy,
      pasteurized,
    })
    onDone(id)
  }
  return (
    <div className="receive-lot">
      <div className="eggs-steps" role="group" aria-label="How it comes">
        {(['shell', 'bought', 'heated here'] as const).map((each) => (
          <Key key={each} look={each === how ? 'primary' : 'outlined'} onClick={() => setHow(each)}>
            {{ shell: 'In the shell', bought: 'Pasteurized', 'heated here': 'Heated here' }[each]}
          </Key>
        ))}
      </div>
      {how === 'heated here' && (
        <p>
          Eggs heated in this kitchen count as pasteurized only under a written variance; without one it is refused.
          Bought pasteurized egg is the simpler way.
        </p>
      )}
      <div className="field-row">
        <label className="form-field">
          Lot, as written on it
          <input value={code} maxLength={40} onChange={({ target }) => setCode(target.value)} />
        </label>
        <label className="form-field">
          From
          <input value={supplier} maxLength={120} onChange={({ target }) => setSupplier(target.value)} />
        </label>
        <label className="form-field">
          Use by
          <input type="date" value={useBy} onChange={({ target }) => setUseBy(target.value)} />
        </label>
        {how === 'shell' ? (
          <label className="form-field">
            Size
            <select value={size} onChange={({ target }) => setSize(target.value as EggSize)}>
              {(Object.keys(EGG_SIZES) as EggSize[]).map((each) => (
                <option key={each}>{each}</option>
              ))}
            </select>
          </label>
        ) : (
          <label className="form-field">
            Holds
            <select value={holds} onChange={({ target }) => setHolds(target.value)}>
              {HOLDS.map(([key, name]) => (
                <option key={key} value={key}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        {how === 'bought' && (
          <label className="form-field">
            Certificate
            <input value={certificate} maxLength={120} onChange={({ target }) => setCertificate(target.value)} />
          </label>
        )}
      </div>
      {wrong && <p role="alert">{wrong}</p>}
      <div className="eggs-steps">
        <Key look="primary" onClick={save}>
          Take it in
        </Key>
        <Key look="outlined" onClick={() => onDone(null)}>
          Not now
        </Key>
      </div>
    </div>
  )
}
