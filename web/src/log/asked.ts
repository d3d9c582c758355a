import { useMemo } from 'react'
import { useSearchParams } from 'react-router'
import { addDays, startOfDay, type Day, type Standing } from '@logged-thermal/core'

export const LENGTHS = ['1', '7', '31', '366'] as const
export type Length = (typeof LENGTHS)[number]

/** What of a batch is asked for by its id. */
export const IDS = ['person', 'method', 'instrument', 'unit', 'lot'] as const

/** What the Log is asked for, as its address says: a day with the days before it, and what has to fit. Empty: anything. */
export interface Asked extends Record<(typeof IDS)[number], string> {
  day: Day
  days: Length
  words: string
  standing: Standing | ''
}

/** The Log as its address has it, and a way to ask for something else; the address is kept short. */
export function useAsked(today: Day): [asked: Asked, ask: (change: Partial<Asked>) => void] {
  const [params, setParams] = useSearchParams()
  const asked = useMemo(() => askedIn(params, today), [params, today])
  const ask = (change: Partial<Asked>) => {
    const next = { ...asked, ...change }
    const own = Object.entries(next).filter(([name, value]) => value !== '' && value !== USUAL[name as keyof Asked])
    // Typing a word leaves no trail of pages to go back through.
    setParams(new URLSearchParams(own.filter(([name, value]) => name !== 'day' || value !== today)), { replace: true })
  }
  return [asked, ask]
}

const USUAL: Partial<Asked> = { days: '1' }
const STANDINGS: readonly string[] = ['open', 'proven', 'unproven', 'missed']

export function askedIn(params: URLSearchParams, today: Day): Asked {
  const of = (name: string) => params.get(name) ?? ''
  const standing = of('standing')
  const ids = Object.fromEntries(IDS.map((name) => [name, ID.test(of(name)) ? of(name) : ''])) as Pick<
    Asked,
    (typeof IDS)[number]
  >
  return {
    day: isDay(of('day')) ? of('day') : today,
    days: LENGTHS.find((length) => length === of('days')) ?? '1',
    words: of('words').slice(0, 80),
    standing: STANDINGS.includes(standing) ? (standing as Standing) : '',
    ...ids,
  }
}

const ID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/

function isDay(text: string): boolean {
  return /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text))
}

/** Whether more is asked for than a time. */
export function isFiltered(asked: Asked): boolean {
  return WHAT.some((name) => asked[name] !== '')
}

const WHAT = ['words', 'standing', ...IDS] as const

/** The instants that it is about, on the kitchen's calendar. */
export function periodOf({ day, days }: Pick<Asked, 'day' | 'days'>, zone: string): { from: number; to: number } {
  return { from: startOfDay(addDays(day, 1 - Number(days)), zone), to: startOfDay(addDays(day, 1), zone) - 1 }
}

/** So many batches are shown at first, so many more with each tap, and so many at once at most. */
export const SHOWN = { first: 200, most: 1000 } as const

/**
 * As the server is asked.
 * @param filtered false: everything of that time
 * @param most so many batches, the latest
 */
export function queryOf(asked: Asked, zone: string, filtered = true, most: number = SHOWN.first): string {
  const { from, to } = periodOf(asked, zone)
  const own = filtered ? WHAT.flatMap((name) => (asked[name] === '' ? [] : [[name, asked[name]]])) : []
  const many = most === SHOWN.first ? [] : [['most', String(most)]]
  return new URLSearchParams([['from', String(from)], ['to', String(to)], ...own, ...many]).toString()
}
