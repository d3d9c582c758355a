import {
  dayOf,
  expectedSteps,
  heldTo,
  planOfMethod,
  type Id,
  type Instant,
  type LimitSet,
  type MethodState,
  type PlanInForce,
} from '@logged-thermal/core'
import {
  clock,
  dayName,
  leftOutWords,
  planCells,
  planMessages,
  planRules,
  productWords,
  speaker,
  stepName,
  type Reader,
} from '@logged-thermal/wording'
import { INK, type Paper } from '../../records/pdf/paper'

const say = speaker(planMessages)

export interface PlansAsked {
  kitchen: string
  reader: Reader
  now: Instant
  people: Record<Id, string>
  /** All of the kitchen: parts of one are methods too. */
  methods: MethodState[]
  /** Only the plan of this one is drawn; null: every plan. */
  only: Id | null
  limits: LimitSet
}

const BOX = 30

/** The written plan of every method that is in force, or of one of them, each from a page of its own. */
export function drawPlans(paper: Paper, asked: PlansAsked): number {
  const { methods, only, limits, now, reader } = asked
  const day = dayOf(now, reader.zone)
  const plans = methods.flatMap((state) => {
    const made = planOfMethod(state, methods, limits, day)
    return made && (only === null || only === state.id) ? [{ ...made, state }] : []
  })
  for (const each of plans.sort((a, b) => a.method.name.localeCompare(b.method.name))) drawPlan(paper, each, asked)
  return plans.length
}

function drawPlan(paper: Paper, made: PlanInForce & { state: MethodState }, asked: PlansAsked): void {
  const { method, plan, signed, standing } = made
  const { reader, kitchen, people } = asked
  paper.part(method.name)
  paper.heading(1, method.name)
  const version = standing === 'signed' ? signed!.version : 'none'
  const title = say(reader, 'titlePlan', { version })
  paper.text(standing === 'outdated' ? `${title}. ${say(reader, 'outOfDate')}` : title, { size: 11, face: 'bold' })
  paper.text([kitchen, say(reader, 'methodVersion', { version: method.version }), planRules(plan, reader)].join(' · '))
  paper.rule()
  for (const { title: name, words } of productWords(plan, reader)) paper.text(`${name}: ${words}`)
  drawFlow(paper, made, asked)
  paper.table(
    [
      { title: say(reader, 'columnStep'), share: 20 },
      { title: say(reader, 'columnLimit'), share: 22 },
      { title: say(reader, 'columnWatched'), share: 22 },
      { title: say(reader, 'columnMissed'), share: 22 },
      { title: say(reader, 'columnKept'), share: 14 },
    ],
    plan.rows.map((row) => {
      const { step, hazard, limit, source, watched, missed, decides, kept } = planCells(row, plan, reader)
      return {
        cells: [
          { text: `${step}. ${hazard}` },
          { text: `${limit}${source ? `\n${source}` : ''}`, bold: true },
          { text: watched },
          { text: `${missed}.${decides ? ` ${decides}.` : ''}` },
          { text: kept },
        ],
      }
    }),
    7.5,
  )
  const left = plan.steps.flatMap((step, i) => leftOutWords(step, i + 1, reader) ?? [])
  if (left.length > 0) {
    paper.heading(2, say(reader, 'leftOut'))
    paper.text(left.join(' '), { size: 8.5 })
  }
  if (signed?.note) {
    paper.heading(2, say(reader, 'noteByLead'))
    paper.text(signed.note)
  }
  paper.document.y += 8
  paper.text(signed ? signedWords(signed, people, reader) : say(reader, 'notSigned'), { face: 'bold' })
  if (plan.recordMonths !== null) paper.text(say(reader, 'keptMonths', { months: plan.recordMonths }), { size: 8.5 })
  paper.text(say(reader, 'aid'), { size: 8.5 })
}

function signedWords(
  { by, at, seq }: NonNullable<PlanInForce['signed']>,
  people: Record<Id, string>,
  reader: Reader,
): string {
  const name = say(reader, 'signedBy', { name: people[by] ?? '' })
  const day = dayName(dayOf(at, reader.zone), reader)
  const entry = seq === null ? 'none' : String(seq)
  return `${name}, ${say(reader, 'signedAt', { day, time: clock(at, reader), entry })}`
}

/** Its steps by number, one after the other; a thick frame where a limit is shown. */
function drawFlow(
  paper: Paper,
  { method, plan, state }: PlanInForce & { state: MethodState },
  { limits, reader, now }: PlansAsked,
): void {
  const { checks } = heldTo(method, 1, limits, plan.practice.susceptible, dayOf(now, reader.zone), state.signed)
  const steps = expectedSteps(method, checks)
  const told = say(reader, 'flow', {
    steps: steps.map(({ kind }, i) => `${i + 1} ${stepName(kind, reader)}`).join(', '),
  })
  const shown = new Set(plan.rows.flatMap(({ step }) => (step === null ? [] : [step])))
  const width = paper.width / Math.max(steps.length, 1)
  paper.figure(told, BOX + 18, (document, x, y) => {
    steps.forEach(({ kind }, i) => {
      const left = x + i * width
      document
        .rect(left, y + 8, width - 10, BOX)
        .lineWidth(shown.has(i + 1) ? 2 : 0.6)
        .stroke(INK)
      paper.write(`${i + 1} ${stepName(kind, reader)}`, 'bold', 7.5, left + 4, y + 12, width - 18)
      if (i < steps.length - 1) {
        const end = left + width - 1
        const middle = y + 8 + BOX / 2
        document
          .moveTo(left + width - 10, middle)
          .lineTo(end, middle)
          .lineWidth(1)
          .stroke(INK)
        document
          .moveTo(end, middle)
          .lineTo(end - 4, middle - 3)
          .lineTo(end - 4, middle + 3)
          .closePath()
          .fill(INK)
      }
    })
  })
}
