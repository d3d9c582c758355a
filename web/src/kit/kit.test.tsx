/** @jest-environment jsdom */
import '@testing-library/jest-dom'
import '../test/browser'
import { act, fireEvent, render, screen, within, waitFor } from '@testing-library/react'
import { useState } from 'react'
import { CheckField } from './CheckField'
import { Field } from './Field'
import { Key } from './Key'
import { KitProvider } from './KitProvider'
import { NumberPad } from './NumberPad'
import { PinPad } from './PinPad'
import { SelectField } from './SelectField'
import { Sheet } from './Sheet'
import { csvOf } from './table/csv'
import type { Column } from './table/column'
import { DataTable } from './table/DataTable'

const show = (element: React.ReactNode) => render(<KitProvider night={false}>{element}</KitProvider>)
const tap = (key: HTMLElement) => act(() => void fireEvent.click(key))

describe('a key', () => {
  it('that is shut does nothing, and says why to whoever taps or hears it', async () => {
    const tapped = jest.fn()
    show(
      <Key why="The lead signs first." onClick={tapped}>
        Put in force
      </Key>,
    )
    const key = screen.getByRole('button', { name: 'Put in force' })
    tap(key)
    expect(tapped).not.toHaveBeenCalled()
    expect(key).toHaveAttribute('aria-disabled', 'true')
    await waitFor(() =>
      expect(screen.getByRole('button', { name: 'Put in force' })).toHaveAccessibleDescription('The lead signs first.'),
    )
  })
})

describe('a field', () => {
  it('says what is wrong beside its value, and keeps what is typed from the page', () => {
    const heard = jest.fn()
    window.addEventListener('keydown', heard)
    show(<Field label="Grams" value="-3" onValue={() => undefined} error="A quantity is a number above 0." />)
    const input = screen.getByLabelText('Grams')
    expect(input).toHaveAccessibleDescription('A quantity is a number above 0.')
    expect(input).toBeInvalid()
    fireEvent.keyDown(input, { key: '7' })
    expect(heard).not.toHaveBeenCalled()
    fireEvent.keyDown(input, { key: 'Escape' })
    expect(heard).toHaveBeenCalledTimes(1)
  })

  it('that chooses shows every option, and a tick is a tick', () => {
    const [chosen, checked] = [jest.fn(), jest.fn()]
    show(
      <>
        <SelectField
          label="Cools"
          options={[
            { value: 'stages', words: 'after heat, in stages' },
            { value: 'none', words: 'not: served at once' },
          ]}
          chosen="stages"
          onChoose={chosen}
        />
        <CheckField label="Raw" checked={false} onCheck={checked} />
      </>,
    )
    act(() => void fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Cools' })))
    tap(screen.getByRole('option', { name: 'not: served at once' }))
    expect(chosen).toHaveBeenCalledWith('none')
    tap(screen.getByRole('checkbox', { name: 'Raw', hidden: true }))
    expect(checked).toHaveBeenCalledWith(true)
  })
})

describe('pads', () => {
  it('have one layout of digits: a number and a PIN are tapped the same way', () => {
    const [taken, pin] = [jest.fn(), jest.fn()]
    show(
      <>
        <NumberPad name="Weighed" unit="g" decimals={1} take="Take it" onTake={taken} />
        <PinPad of={{ name: 'Mina', digits: 4 }} busy={false} sentence={null} onPin={pin} />
      </>,
    )
    const digitsOf = (within_: HTMLElement) =>
      within(within_)
        .getAllByRole('button')
        .map((key) => key.textContent)
        .filter((text) => /^\d$/.test(text ?? ''))
    const [pad, door] = [screen.getByRole('group', { name: 'Weighed' }), screen.getByRole('region', { name: 'PIN' })]
    expect(digitsOf(pad)).toEqual(digitsOf(door))
    for (const digit of ['1', '2', '.', '5']) tap(within(pad).getByRole('button', { name: digit }))
    tap(within(pad).getByRole('button', { name: 'Take it' }))
    expect(taken).toHaveBeenCalledWith(12.5)
    for (const digit of '1182') tap(within(door).getByRole('button', { name: digit }))
    expect(pin).toHaveBeenCalledWith('1182')
  })
})

describe('a sheet', () => {
  it('ends with Done when all is saved, with Not now when nothing is, and puts the page out of reach', () => {
    function Two() {
      const [saved, setSaved] = useState(false)
      return (
        <>
          <p>the page</p>
          <Sheet open onClose={() => undefined} title="Readings" saved={saved}>
            <Key onClick={() => setSaved(true)}>Save</Key>
          </Sheet>
        </>
      )
    }
    show(<Two />)
    const sheet = screen.getByRole('dialog', { name: 'Readings' })
    expect(within(sheet).getByRole('button', { name: 'Not now' })).toBeVisible()
    tap(within(sheet).getByRole('button', { name: 'Save' }))
    expect(within(sheet).getByRole('button', { name: 'Done' })).toBeVisible()
    expect(screen.getByText('the page').closest('[aria-hidden="true"]')).not.toBeNull()
  })
})

interface Dish {
  name: string
  grams: number
}
const columns: Column<Dish>[] = [
  { key: 'name', title: 'Dish', names: true, value: ({ name }) => name, cell: ({ name }) => name },
  { key: 'grams', title: 'Grams', value: ({ grams }) => grams, cell: ({ grams }) => `${grams} g` },
  { key: 'mark', title: 'Mark', cell: () => '·' },
]
const dishes = (count: number): Dish[] =>
  Array.from({ length: count }, (_, i) => ({ name: `Dish ${i}`, grams: (i * 7919) % 1000 }))

describe('a table', () => {
  const shown = () => screen.getAllByRole('rowheader').map((cell) => cell.textContent)
  const table = (rows: Dish[]) =>
    show(
      <DataTable
        caption="Dishes"
        columns={columns}
        rows={rows}
        rowKey={({ name }) => name}
        sortedBy="name"
        file="d.csv"
      />,
    )

  it('is sorted by any column that has a value, numbers as numbers, and again the other way', () => {
    table([
      { name: 'Dish 10', grams: 9 },
      { name: 'Dish 2', grams: 100 },
    ])
    expect(shown()).toEqual(['Dish 2', 'Dish 10'])
    tap(screen.getByRole('button', { name: 'Grams' }))
    expect(shown()).toEqual(['Dish 10', 'Dish 2'])
    tap(screen.getByRole('button', { name: 'Grams' }))
    expect(shown()).toEqual(['Dish 2', 'Dish 10'])
    expect(screen.getByRole('columnheader', { name: 'Grams' })).toHaveAttribute('aria-sort', 'descending')
    expect(screen.queryByRole('button', { name: 'Mark' })).toBeNull()
  })

  it('hides columns that are not wanted', () => {
    table(dishes(2))
    tap(screen.getByRole('button', { name: 'Columns' }))
    tap(screen.getByRole('menuitemcheckbox', { name: 'Grams' }))
    expect(screen.queryByRole('columnheader', { name: 'Grams', hidden: true })).toBeNull()
  })

  it('draws only what is near the screen of a thousand rows', () => {
    table(dishes(1000))
    expect(screen.queryAllByRole('rowheader').length).toBeLessThan(200)
  })

  it('goes into a file whose cells no spreadsheet takes for a formula', () => {
    const rows = [
      { name: '=2+3', grams: -4 },
      { name: ' @x, "y"', grams: 1 },
    ]
    expect(csvOf(columns, rows)).toBe(`Dish,Grams\r\n'=2+3,-4\r\n"' @x, ""y""",1\r\n`)
  })
})

it('keeps what stands in a table as it is drawn anew: a finger on it loses nothing', () => {
  const columns = () => [{ key: 'name', title: 'Name', cell: (row: string) => <a href="#there">{row}</a> }]
  const table = () => <DataTable caption="Things" columns={columns()} rows={['curd']} rowKey={(row) => row} />
  const { rerender } = render(table())
  const link = screen.getByRole('link', { name: 'curd' })
  rerender(table())
  expect(screen.getByRole('link', { name: 'curd' })).toBe(link)
})
