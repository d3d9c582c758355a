import Stack from '@mui/material/Stack'
import {
  tracesBeside,
  contentsOf,
  toolTrail,
  toolUseOf,
  type BatchState,
  type ToolKind,
  type ToolState,
} from '@logged-thermal/core'
import { toolsMessages, tracesWords } from '@logged-thermal/wording'
import { useEnter } from '../app/enter'
import { useLine } from '../app/kitchen'
import type { LineData } from '../app/lineData'
import { useKitchenClock } from '../app/now'
import { shutUnless } from '../app/shut'
import { Key } from '../kit/Key'
import { KeyRow } from '../kit/KeyRow'
import { speaks, spoken } from '../kit/language'

const say = speaks(toolsMessages)

interface Props {
  batch: BatchState
  step: string
  /** Which kind goes through at that step; null: any. */
  of: ToolKind | null
  open: boolean
  onTold?: () => void
}

/** Which tool it goes through, in one tap; and where something is in it that this batch has not, whether it was washed. */
export function ToolKeys({ batch, step, of, open, onTold }: Props) {
  const enter = useEnter()
  const clock = useKitchenClock()
  const line = useLine()
  if (!line) return null
  const tell = (tool: string | null, washed: boolean) => {
    const at = Math.round(clock())
    enter('tool-used', batch.id, toolUseOf(batch, { step, tool, washed }, line.tools, finding(line), at), { at })
    onTold?.()
  }
  const tools = line.tools.filter(({ kind, gone }) => !gone && (of === null || kind === of))
  const withTraces = tools.map((tool) => ({ ...tool, last: lastIn(tool, batch, line) }))
  return (
    <Stack spacing={1.5} useFlexGap>
      {withTraces.map(({ tool, name, last }) =>
        last ? <p key={tool}>{say('lastInIt', { tool: name, after: last.after, traces: last.traces })}</p> : null,
      )}
      <KeyRow>
        {withTraces.map(({ tool, name, last }) =>
          last ? (
            [true, false].map((washed) => (
              <Key key={`${tool} ${washed}`} why={shutUnless(open)} onClick={() => tell(tool, washed)}>
                {tools.length === 1
                  ? say(washed ? 'washed' : 'unwashed')
                  : say(washed ? 'washedSince' : 'notWashed', { tool: name })}
              </Key>
            ))
          ) : (
            <Key key={tool} look="primary" why={shutUnless(open)} onClick={() => tell(tool, false)}>
              {name}
            </Key>
          ),
        )}
        <Key look="outlined" why={shutUnless(open)} onClick={() => tell(null, false)}>
          {say('noneOfThese')}
        </Key>
      </KeyRow>
    </Stack>
  )
}

/** What was in it last that this batch does not hold anyway; null where there is nothing of the kind. */
function lastIn(tool: ToolState, batch: BatchState, line: LineData): { after: string; traces: string } | null {
  const { left, after } = toolTrail(line.tools, finding(line)).leftFor(tool.tool, batch.id)
  const declared = batch.terms.holds
  const traces = tracesBeside(left, declared ? contentsOf(batch, declared) : { allergens: [], unknown: [] })
  return traces && after !== null ? { after, traces: tracesWords(traces, spoken) } : null
}

/** What has left the Line is known by what the tool says of it. */
function finding({ batches }: LineData) {
  return (id: string) => batches.find((batch) => batch.id === id) ?? null
}
