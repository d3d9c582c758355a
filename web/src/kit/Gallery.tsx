import { useState } from 'react'
import { parseTemperature } from '@logged-thermal/core'
import type { Reader } from '@logged-thermal/wording'
import { CheckField } from './CheckField'
import { ChoiceKeys } from './ChoiceKeys'
import { DateField } from './DateField'
import { Field } from './Field'
import { FieldRow } from './FieldRow'
import { FileKey } from './FileKey'
import { Key } from './Key'
import { KeyRow } from './KeyRow'
import { NameKeys } from './NameKeys'
import { Notice } from './Notice'
import { NumberPad } from './NumberPad'
import { PinPad } from './PinPad'
import { RowKey } from './RowKey'
import { SearchField } from './SearchField'
import { SelectField } from './SelectField'
import { Sheet } from './Sheet'
import { Stepper } from './Stepper'
import type { Column } from './table/column'
import { DataTable } from './table/DataTable'
import { TemperatureField } from './TemperatureField'
import { TimeField } from './TimeField'
import { Toast } from './Toast'
import { WhenFields } from './WhenFields'
import { Whole } from './Whole'
import styles from './gallery.module.css'

const LOOKS = ['plain', 'primary', 'outlined', 'quiet', 'shut'] as const
const COLUMNS: Column<{ dish: string; grams: number }>[] = [
  { key: 'dish', title: 'Dish', names: true, value: ({ dish }) => dish, cell: ({ dish }) => dish },
  { key: 'grams', title: 'Grams', value: ({ grams }) => grams, cell: ({ grams }) => `${grams} g` },
]
const READER: Reader = { scale: 'C', zone: 'UTC', locale: 'en-GB', hours: 24, today: null }
const ROWS = Array.from({ length: 200 }, (_, i) => ({ dish: `Dish ${i + 1}`, grams: (i * 7919) % 1000 }))

/** Every piece of the kit in its states. In development alone: `/kit`. */
export function Gallery() {
  const [text, setText] = useState('Bay-leaf custard')
  const [chosen, setChosen] = useState<'a' | 'b'>('a')
  const [day, setDay] = useState('2027-03-09')
  const [time, setTime] = useState('23:05')
  const [checked, setChecked] = useState(true)
  const [open, setOpen] = useState(false)
  const [toasted, setToasted] = useState(false)
  const [degrees, setDegrees] = useState('165')
  const [at, setAt] = useState(Date.UTC(2027, 2, 9, 23, 5))
  const nothing = () => undefined
  return (
    <main className={styles.gallery}>
      <h1 className="title">Kit</h1>
      <section>
        <h2 className="title">Keys</h2>
        <KeyRow>
          {LOOKS.map((look) => (
            <Key key={look} look={look}>
              {look}
            </Key>
          ))}
          <Key disabled>disabled</Key>
          <Key look="primary" disabled>
            primary, disabled
          </Key>
          <Key why="The lead signs first.">shut, with a reason</Key>
        </KeyRow>
        <ChoiceKeys
          name="One of two"
          options={['a', 'b'] as const}
          chosen={chosen}
          words={String}
          onChoose={setChosen}
        />
        <Stepper name="Pans" value="2" onStep={nothing} />
        <NameKeys>
          {['Mina Osk', 'Teo Brandt', 'Noor Hallet'].map((name) => (
            <Key key={name}>{name}</Key>
          ))}
        </NameKeys>
        <RowKey>A row that leads somewhere</RowKey>
        <FileKey label="A file" accept=".csv" onFile={nothing}>
          Take a file
        </FileKey>
      </section>
      <section>
        <h2 className="title">Fields</h2>
        <FieldRow>
          <Field label="Text" value={text} onValue={setText} />
          <Field label="With a unit" value="340" unit="g" mode="decimal" onValue={nothing} />
          <Field label="Wrong" value="-3" error="A quantity is a number above 0." onValue={nothing} />
          <Field label="With a hint" value="" hint="As written on the tray." onValue={nothing} />
          <Field label="Only to read" value="cannot be changed" />
          <Field label="Disabled" value="" disabled onValue={nothing} />
          <SelectField
            label="One of many"
            options={[
              { value: 'a', words: 'after heat, in stages' },
              { value: 'b', words: 'from room temperature' },
            ]}
            chosen={chosen}
            onChoose={setChosen}
          />
          <DateField label="A day" value={day} onValue={setDay} />
          <TemperatureField
            label="A temperature"
            value={degrees}
            parsed={parseTemperature(degrees)}
            onValue={setDegrees}
          />
          <SearchField label="One of very many" options={ROWS.map(({ dish }) => dish)} />
          <TimeField label="A time of day" value={time} onValue={setTime} hours={24} />
          <TimeField label="On a 12 h clock" value={time} onValue={setTime} hours={12} />
        </FieldRow>
        <WhenFields label="Its day" time="Its time" at={at} reader={READER} onAt={setAt} />
        <Field label="Several lines" rows={3} value={text} onValue={setText} />
        <CheckField label="Holds raw egg" checked={checked} onCheck={setChecked} />
      </section>
      <section className={styles.pads}>
        <NumberPad name="Weighed" unit="g" decimals={1} take="Take it" onTake={nothing} />
        <PinPad of={{ name: 'Mina', digits: null }} busy={false} sentence="Wrong PIN for Mina." onPin={nothing} />
      </section>
      <section>
        <h2 className="title">Said</h2>
        <Notice title="Not logged." keys={<Key look="outlined">Read again</Key>}>
          <p>900 °F is no temperature of a pan.</p>
        </Notice>
        <Whole busy>Opening the logbook …</Whole>
        <Whole>There is nothing here yet.</Whole>
        <Key onClick={() => setToasted(true)}>A toast</Key>
        {toasted && (
          <Toast words="Binned Bay-leaf custard 330-8a." undo="Undo" left={8} onUndo={() => setToasted(false)} />
        )}
        <Key onClick={() => setOpen(true)}>A sheet</Key>
        <Sheet open={open} onClose={() => setOpen(false)} title="A sheet" saved={checked}>
          <CheckField label="All is saved" checked={checked} onCheck={setChecked} />
        </Sheet>
      </section>
      <section className={styles.table}>
        <DataTable
          caption="Dishes"
          columns={COLUMNS}
          rows={ROWS}
          rowKey={({ dish }) => dish}
          sortedBy="grams"
          file="d.csv"
        />
      </section>
    </main>
  )
}
