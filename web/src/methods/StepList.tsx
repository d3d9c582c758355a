import {
  type Active,
  type Announcements,
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { useEffect, useRef } from 'react'
import { gatesAt, type Check, type Method, type Problem, type Step } from '@logged-thermal/core'
import { limitTitle, sourceLine, span, stepName, type Reader, methodsMessages } from '@logged-thermal/wording'
import { instructionOf, type Edit } from './editing'
import { ProblemNote } from './ProblemNote'
import { RowKey } from '../kit/RowKey'
import { clsx } from 'clsx'
import styles from './methods.module.css'
import { speaks } from '../kit/language'

const say = speaks(methodsMessages)

const MINUTE = 60_000

interface Props {
  method: Method
  checks: Check[]
  problems: Problem[]
  reader: Reader
  chosen: string | null
  editable: boolean
  onChoose: (key: string) => void
  onEdit: (edit: Edit) => void
}

/** The steps in order: dragged by their handle, or moved with its arrow keys; what is wrong stands at the step it belongs to. */
export function StepList({ method, checks, problems, reader, chosen, editable, onChoose, onEdit }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const keys = method.steps.map(({ key }) => key)
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{ screenReaderInstructions: { draggable: say('howToMove') }, announcements: ANNOUNCED }}
      onDragEnd={({ active, over }) => {
        if (over && active.id !== over.id)
          onEdit({ kind: 'move step', key: String(active.id), to: keys.indexOf(String(over.id)) })
      }}
    >
      <SortableContext items={keys} strategy={verticalListSortingStrategy} disabled={!editable}>
        <ol>
          {method.steps.map((step, i) => (
            <Row
              key={step.key}
              step={step}
              number={i + 1}
              method={method}
              checks={gatesAt(step.key, checks)}
              problems={problems.filter((problem) => problem.step === step.key)}
              reader={reader}
              chosen={step.key === chosen}
              editable={editable}
              onChoose={() => onChoose(step.key)}
              onMove={(by) => onEdit({ kind: 'move step', key: step.key, to: i + by })}
              onEdit={onEdit}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  )
}

/** What a screen reader says while a step is moved: its place in the list, not its key. */
const ANNOUNCED: Announcements = {
  onDragStart: ({ active }) => say('movesFrom', { place: placeOf(active) }),
  onDragOver: ({ over }) => (over ? say('movesTo', { place: placeOf(over) }) : undefined),
  onDragEnd: ({ over }) => (over ? say('movedTo', { place: placeOf(over) }) : undefined),
  onDragCancel: () => say('staysInPlace'),
}

function placeOf({ data }: Pick<Active, 'data'>): number {
  return ((data.current as { sortable?: { index: number } } | undefined)?.sortable?.index ?? 0) + 1
}

function Row({
  step,
  number,
  method,
  checks,
  problems,
  reader,
  chosen,
  editable,
  onChoose,
  onMove,
  onEdit,
}: {
  step: Step
  number: number
  method: Method
  checks: Check[]
  problems: Problem[]
  reader: Reader
  chosen: boolean
  editable: boolean
  onChoose: () => void
  onMove: (by: 1 | -1) => void
  onEdit: (edit: Edit) => void
}) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: step.key })
  const { text, activeMinutes, passiveMinutes, oven } = instructionOf(method, step.key)
  const minutes = [
    activeMinutes ? say('minActiveminutes', { activeMinutes }) : '',
    passiveMinutes
      ? say('thenTo', {
          span: span(passiveMinutes.least * MINUTE, reader),
          span2: span(passiveMinutes.most * MINUTE, reader),
        })
      : '',
    oven ? say('ovenOvenUnit', { oven: oven.value, unit: oven.unit }) : '',
  ].filter(Boolean)
  const faulty = problems.some(({ weight }) => weight === 'blocks')
  const row = useRef<HTMLLIElement | null>(null)
  // A fault that has just been made is brought into sight.
  useEffect(() => {
    if (faulty) row.current?.scrollIntoView({ block: 'nearest' })
  }, [faulty])
  return (
    <li
      ref={(element) => {
        row.current = element
        setNodeRef(element)
      }}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={clsx(styles.methodStep, chosen && styles.chosen, faulty && styles.faulty)}
      data-step={step.key}
    >
      <div className={styles.methodStepRow}>
        <span className={styles.methodStepNumber}>{number}</span>
        <RowKey className={styles.methodStepName} aria-pressed={chosen} onClick={onChoose}>
          <strong>{stepName(step.kind, reader)}</strong>
          <span>
            {text || say('nothingSaidYet')}
            <small>
              {[step.measures === 'mixture' ? '' : say('readsThe', { part: step.measures.part }), ...minutes]
                .filter(Boolean)
                .join(' · ')}
            </small>
            {checks.map((check) => (
              <small key={check.key} className={styles.methodStepCheck}>
                <b>{limitTitle(check, reader)}</b> {sourceLine(check, reader)}
              </small>
            ))}
          </span>
        </RowKey>
        {editable && (
          <RowKey
            className={styles.methodHandle}
            {...attributes}
            {...listeners}
            aria-label={say('moveStepDragOr', { number, stepName: stepName(step.kind, reader) })}
            onKeyDown={(event) => {
              if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
                event.preventDefault()
                onMove(event.key === 'ArrowUp' ? -1 : 1)
              } else listeners?.onKeyDown?.(event)
            }}
          >
            <svg width="20" height="30" viewBox="0 0 20 30" aria-hidden="true">
              <path d="M10 2l8 10H2ZM10 28l8 -10H2Z" fill="currentColor" />
            </svg>
          </RowKey>
        )}
      </div>
      {problems.map((problem) => (
        <ProblemNote
          key={problem.id}
          problem={problem}
          method={method}
          reader={reader}
          editable={editable}
          onEdit={onEdit}
        />
      ))}
    </li>
  )
}
