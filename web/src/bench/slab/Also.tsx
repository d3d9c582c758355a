import type { ReactNode } from 'react'
import { WARM_UP_CUE, type Todo } from '@logged-thermal/core'
import { beginWord, markWord, warmUpReasons, slabMessages, toolsMessages } from '@logged-thermal/wording'
import { useEnter } from '../../app/enter'
import { Key } from '../../kit/Key'
import type { SlabProps } from './slabProps'
import styles from '../../board/slab.module.css'
import { speaks, spoken } from '../../kit/language'
import { shutUnless } from '../../app/shut'

const say = speaks(slabMessages)
const toolsSay = speaks(toolsMessages)

/** What else is open, small, each still one tap away. */
export function Also({
  todos,
  one: { batch },
  guide,
  open,
  onSheet,
  onMark,
  children,
}: SlabProps & { todos: Todo[]; children?: ReactNode }) {
  const enter = useEnter()
  const keys = todos.flatMap((todo): { name: string; tap: () => void }[] => {
    switch (todo.kind) {
      case 'clean':
        return [
          {
            name: say('allClean'),
            tap: () => enter('cleaned', batch.id, { step: guide.now?.key ?? batch.method.steps[0]!.key }),
          },
        ]
      case 'warm-up':
        return [
          {
            name: say('slowWarm', { warmUpReasons: warmUpReasons(spoken)[0]!.toLowerCase() }),
            tap: () => enter('noted', batch.id, { text: warmUpReasons(spoken)[0]!, cue: WARM_UP_CUE }),
          },
        ]
      case 'eggs':
        return [{ name: say('eggsWhichLot'), tap: () => onSheet('eggs') }]
      case 'lots':
        return [{ name: say('whichLots'), tap: () => onSheet('lots') }]
      case 'wash':
        return [{ name: say('itIsWashed'), tap: () => enter('washed', batch.id, { step: todo.step }) }]
      case 'settle':
        return [{ name: say('leftOverKeepOr'), tap: () => onSheet('eggs') }]
      case 'place':
        return [{ name: say('whereCools'), tap: () => onSheet('cooling') }]
      case 'tool':
        return [{ name: toolsSay('throughWhich', { kind: todo.of }), tap: () => onSheet('tool') }]
      case 'parts':
        return [{ name: say('parts'), tap: () => onSheet('parts') }]
      case 'merged':
        return []
      case 'cover':
        return [{ name: say('cover'), tap: () => onSheet('cooling') }]
      case 'end':
        return [
          {
            name: markWord(todo.of, todo.edge === 'combined' ? 'combined' : 'done', spoken),
            tap: () => onMark(todo.step, todo.edge),
          },
        ]
      case 'begin':
        return [{ name: beginWord(todo.of, spoken) ?? say('begin'), tap: () => onMark(todo.step, 'started') }]
      case 'serve':
        return []
    }
  })
  if (keys.length === 0 && !children) return null
  return (
    <div className={styles.also} role="group" aria-label={say('alsoOpen')}>
      {children}
      {keys.map(({ name, tap }) => (
        <Key key={name} look="outlined" why={shutUnless(open)} onClick={tap}>
          {name}
        </Key>
      ))}
    </div>
  )
}
