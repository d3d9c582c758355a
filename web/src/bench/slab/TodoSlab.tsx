import {
  foodIn,
  families,
  WARM_UP_CUE,
  type BatchState,
  type Cover,
  type EggUse,
  type Ingredient,
  type Instruction,
  type Terms,
  type Todo,
} from '@logged-thermal/core'
import {
  cleaningWords,
  coverWord,
  eggRuleSentence,
  grams,
  partWord,
  warmUpReasons,
  warmUpSentence,
  slabMessages,
  toolsMessages,
} from '@logged-thermal/wording'
import { useEnter } from '../../app/enter'
import { useInstructions, useMethodOf } from '../../app/instructions'
import { Key } from '../../kit/Key'
import { bakedWords, stepWords, type Told } from './stepWords'
import { Also } from './Also'
import { ToolKeys } from '../ToolKeys'
import type { SlabProps } from './slabProps'
import { clsx } from 'clsx'
import styles from '../../board/slab.module.css'
import { speaks, spoken } from '../../kit/language'
import { shutUnless } from '../../app/shut'

const say = speaks(slabMessages)
const toolsSay = speaks(toolsMessages)

const COVERS: Cover[] = ['open', 'film on the surface', 'lid']

/** What the hands do next: one thing large, what else is open small under it. */
export function TodoSlab(props: SlabProps & { todo: Todo }) {
  const { todo, guide, phase } = props
  const enter = useEnter()
  const told = useInstructions(props.one.batch)
  const ours = useMethodOf(props.one.batch)?.own ?? []
  const { title, count, why, keys } = todoWords(props, enter, told, ours)
  return (
    <section
      className={clsx(styles.slab, phase.cooking && phase.of === 'mixture' && styles.onHeat)}
      aria-label={say('doNow')}
    >
      <p className={styles.do} aria-live="polite">
        {title}
      </p>
      {count && (
        <p className={styles.count}>
          {count[0]}
          <small>{count[1]}</small>
        </p>
      )}
      {why && <p className={styles.why}>{why}</p>}
      <div className={styles.keys}>{keys}</div>
      <Also {...props} todos={guide.todos.filter((other) => other !== todo)} />
    </section>
  )
}

function todoWords(
  props: SlabProps & { todo: Todo },
  enter: ReturnType<typeof useEnter>,
  told: Readonly<Record<string, Instruction>>,
  ours: readonly Ingredient[],
): Told {
  const { todo, one, guide, open, onMark, onSheet, reader } = props
  const { batch } = one
  switch (todo.kind) {
    case 'clean': {
      const { action, reason } = cleaningWords(todo.why, reader)
      const step = guide.now?.key ?? batch.method.steps.at(-1)!.key
      return {
        title: action,
        why: todo.waits ? say('nextStepWaitsFor', { reason }) : reason,
        keys: (
          <Key look="primary" why={shutUnless(open)} onClick={() => enter('cleaned', batch.id, { step })}>
            {say('allClean')}
          </Key>
        ),
      }
    }
    case 'warm-up':
      return {
        title: say('noteWhyTookSo'),
        why: warmUpSentence(todo.warmUp, batch.terms.warmMinutes, reader),
        keys: warmUpReasons(spoken).map((text) => (
          <Key key={text} why={shutUnless(open)} onClick={() => enter('noted', batch.id, { text, cue: WARM_UP_CUE })}>
            {text}
          </Key>
        )),
      }
    case 'eggs':
      return {
        title: say('whichEggsGo'),
        why: `${usesWords(todo.uses)}. ${rulesWords(todo.uses, batch.terms)}`,
        keys: (
          <Key look="primary" why={shutUnless(open)} onClick={() => onSheet('eggs')}>
            {say('chooseLot')}
          </Key>
        ),
      }
    case 'wash':
      return {
        title: say('washThe', {
          ingredients: todo.ingredients.map((key) => nameOf(key, batch, ours).toLowerCase()).join(', '),
        }),
        why: say('runningWaterBeforeGoes'),
        keys: (
          <Key look="primary" why={shutUnless(open)} onClick={() => enter('washed', batch.id, { step: todo.step })}>
            {say('itIsWashed')}
          </Key>
        ),
      }
    case 'lots':
      return {
        title: say('whichLotsGo'),
        why: say('soThatRecallFinds'),
        keys: (
          <Key look="primary" why={shutUnless(open)} onClick={() => onSheet('lots')}>
            {say('whichLots')}
          </Key>
        ),
      }
    case 'tool':
      return {
        title: toolsSay('throughWhich', { kind: todo.of }),
        why: toolsSay('soNextKnows'),
        keys: <ToolKeys batch={batch} step={todo.step} of={todo.of} open={open} />,
      }
    case 'parts':
      return {
        title: say('whichPartsGo'),
        why: say('eachProvenDateRead'),
        keys: (
          <Key look="primary" why={shutUnless(open)} onClick={() => onSheet('parts')}>
            {say('chooseParts')}
          </Key>
        ),
      }
    case 'merged':
      return {
        title: say('readThemTogether'),
        why: say('somethingPouredWarmOn'),
        keys: null,
      }
    case 'begin':
    case 'end':
      return todo.kind === 'end' && todo.of === 'bake' && families[batch.method.family].crumb
        ? bakedWords({ ...props, todo }, told[todo.step], enter)
        : stepWords({ ...props, todo }, told[todo.step])
    case 'settle':
      return {
        title: say('leftOver', {
          lines: todo.lines.map(({ part, left }) => `${grams(left)} ${partWord(part, reader)}`).join(', '),
        }),
        why: say('keptWithDateOr'),
        keys: (
          <Key look="primary" why={shutUnless(open)} onClick={() => onSheet('eggs')}>
            {say('keepOrBin')}
          </Key>
        ),
      }
    case 'place':
      return { title: say('whereDoesCool'), why: '', keys: null }
    case 'cover':
      return {
        title: say('howDoesStandCool'),
        why: say('everyCoverSlowsOpen'),
        keys: COVERS.map((cover) => (
          <Key key={cover} why={shutUnless(open)} onClick={() => enter('covered', batch.id, { cover })}>
            {coverWord(cover, reader)}
          </Key>
        )),
      }
    case 'serve':
      return {
        title: say('serveAtOnce'),
        why: say('notCooledKept'),
        keys: (
          <Key look="primary" why={shutUnless(open)} onClick={() => onMark(guide.now!.key, 'started')}>
            {say('goesOut')}
          </Key>
        ),
      }
  }
}

function usesWords(uses: readonly EggUse[]): string {
  return uses.map(({ part, grams: mass }) => `${grams(mass)} ${partWord(part, spoken)}`).join(', ')
}

function rulesWords(uses: readonly EggUse[], { eggs, susceptible }: Terms): string {
  const heated = uses.every((use) => use.heated)
  return eggRuleSentence(heated ? eggs.heated : eggs.unheated, susceptible, heated, spoken)
}

/** An ingredient by its key: the catalogue's, the method's own, or one that was put in besides. */
function nameOf(ingredient: string, { facts }: BatchState, ours: readonly Ingredient[]): string {
  const own =
    ours.find(({ key }) => key === ingredient) ??
    facts.added.find(({ value }) => value.own?.key === ingredient)?.value.own
  return foodIn({ ingredient, ...(own ? { own } : {}) })?.name ?? ingredient
}
