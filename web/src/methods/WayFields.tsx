import { COOLS_FIRST, COVERED, OVER, type Instruction, type StepKind } from '@logged-thermal/core'
import { waysMessages } from '@logged-thermal/wording'
import { FieldRow } from '../kit/FieldRow'
import { SelectField } from '../kit/SelectField'
import { speaks } from '../kit/language'

const say = speaks(waysMessages)

/** How a step is done where kitchens differ; what is undefined is not said. */
export type Ways = { [K in 'over' | 'first' | 'cover']: Instruction[K] | undefined }

/** What a step of a kind can say of it: a pot on the heat, a pot that cools. */
const SAYS: Partial<Record<StepKind, (keyof Ways)[]>> = { cook: ['over'], cool: ['first', 'cover'] }

/** Those that its kind has, and that somebody said. */
export function saidOf(ways: Ways, kind: StepKind): Partial<Pick<Instruction, keyof Ways>> {
  const { over, first, cover } = ways
  const has = (name: keyof Ways) => SAYS[kind]?.includes(name)
  return {
    ...(over && has('over') ? { over } : {}),
    ...(first && has('first') ? { first } : {}),
    ...(cover && has('cover') ? { cover } : {}),
  }
}

/** Over water or on the flame; on the counter first or cold at once; covered at once or when set. */
export function WayFields({ kind, ways, onWays }: { kind: StepKind; ways: Ways; onWays: (ways: Ways) => void }) {
  const said = SAYS[kind] ?? []
  if (said.length === 0) return null
  return (
    <FieldRow>
      {said.includes('over') && (
        <SelectField
          label={say('over')}
          options={(['unsaid', ...OVER] as const).map((value) => ({ value, words: say(`sayOver_${value}`) }))}
          chosen={ways.over ?? 'unsaid'}
          onChoose={(over) => onWays({ ...ways, over: over === 'unsaid' ? undefined : over })}
        />
      )}
      {said.includes('first') && (
        <SelectField
          label={say('first')}
          options={(['unsaid', ...COOLS_FIRST] as const).map((value) => ({ value, words: say(`sayFirst_${value}`) }))}
          chosen={ways.first ?? 'unsaid'}
          onChoose={(first) => onWays({ ...ways, first: first === 'unsaid' ? undefined : first })}
        />
      )}
      {said.includes('cover') && (
        <SelectField
          label={say('cover')}
          options={(['unsaid', ...COVERED] as const).map((value) => ({ value, words: say(`sayCover_${value}`) }))}
          chosen={ways.cover ?? 'unsaid'}
          onChoose={(cover) => onWays({ ...ways, cover: cover === 'unsaid' ? undefined : cover })}
        />
      )}
    </FieldRow>
  )
}
