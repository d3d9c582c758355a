import type { Instant } from '../../ground/instant'
import type { Day } from '../../ground/zone'
import type { Limit, LimitKey } from '../../rules/limit'
import type { DaysRule } from '../../rules/rule'
import type { PartShut } from '../../judgement/lineage/part'
import type { ReceivingReason } from '../../judgement/keeping/receiving'
import type { Decision } from '../../ledger/entry'
import type { OutOfOrder } from '../../advice/guide/order'
import type { Problem } from '../../recipe/checks/problems'
import type { FieldProblem } from '../../ground/field'
import type { Shut } from '../../judgement/batch/disposition'
import type { MoveShut } from '../../judgement/keeping/moveShut'

/** Why a batch does not show that a bake heats it through: not of this version and this interval, not read, or another bake. */
export type BakeNotShown = 'other method' | 'shallower' | 'not read' | 'hotter oven' | 'longer'

/** Why an entry is not taken. Every code has its sentence in wording. */
export type Refusal =
  | { code: 'bad field'; field: string; problem: FieldProblem }
  | { code: 'ahead of clock'; field: 'at'; aheadMs: number; clockAheadMs: number }
  | { code: 'id taken'; field: 'id' }
  | { code: 'other kitchen'; field: 'kitchen' }
  | { code: 'not on the list'; field: 'by' }
  | { code: 'may not'; field: 'by'; kind: string }
  | { code: 'lead must sign'; field: 'pin' }
  | { code: 'second needed'; field: 'second' }
  | { code: 'sign yourself'; field: 'pin'; kind: string }
  | { code: 'before it began'; field: 'at'; begins: Instant }
  | { code: 'marked already'; field: 'body.edge'; at: Instant }
  | {
      code: 'not there'
      field: string
      what:
        | 'amount'
        | 'batch'
        | 'instrument'
        | 'method'
        | 'limits'
        | 'entry'
        | 'step'
        | 'lot'
        | 'item'
        | 'vessel'
        | 'unit'
        | 'kitchen'
        | 'person'
        | 'tool'
        | 'ingredient'
        | 'matter'
        | 'list'
        | 'trace'
        | 'sample'
        | 'reading'
        | 'picture'
    }
  | {
      code: 'already there'
      field: string
      what:
        | 'batch'
        | 'instrument'
        | 'lot'
        | 'item'
        | 'list of people'
        | 'tool'
        | 'ingredient'
        | 'matter'
        | 'trace'
        | 'line of a log'
        | 'file'
    }
  /** Readings of a file: not one after the other, or of a time that has not come yet. */
  | { code: 'readings out of order'; field: 'body.readings' }
  | { code: 'trace incomplete'; field: 'body.found'; left: number }
  | { code: 'still kept'; field: 'body.note'; until: Day }
  | { code: 'code taken'; field: 'body.code'; taken: string }
  | { code: 'batch closed'; field: 'about.id'; batch: string }
  | { code: 'cannot measure that'; field: 'body.where' | 'body.instrument'; instrument: string }
  | { code: 'instrument gone'; field: 'about.id' | 'body.instrument'; instrument: string }
  | { code: 'instrument in doubt'; field: 'body.instrument'; instrument: string }
  | { code: 'too long ago'; field: 'at'; instrument: string }
  | { code: 'not checked so'; field: 'body.against'; instrument: string }
  | { code: 'reference not checked'; field: 'body.against'; instrument: string }
  | { code: 'read again'; field: 'body.shown' | 'body.against'; read: number }
  | { code: 'not steady'; field: 'body.shown'; apart: number }
  | { code: 'not a reading'; field: 'body.target' }
  | { code: 'older version'; field: 'body'; current: number }
  | { code: 'kept too short'; field: 'body.set.practice.monthsKept'; months: number }
  | { code: 'looser'; field: 'body.set.lines'; line: LimitKey }
  | { code: 'method blocked'; field: 'body.version'; problem: Problem }
  | { code: 'out of order'; field: 'body.reason'; why: OutOfOrder }
  | { code: 'clean first'; field: 'body.step' }
  | { code: 'other lot'; field: 'body.form' | 'body.uses' | 'body.topping'; lot: string }
  | { code: 'lot past its day'; field: 'body.lot'; lot: string; useBy: string }
  | { code: 'wrong egg'; field: 'body.lot' | 'body.state'; lot: string; why: 'unheated' | 'susceptible' }
  | { code: 'other unit'; field: 'body.place'; unit: string }
  | { code: 'over the rim'; field: 'body.depth'; vessel: string; height: number }
  | { code: 'unrated vessel'; field: 'body.vessel'; vessel: string; why: 'not for food' | 'not for hot' }
  | { code: 'rewarmed enough'; field: 'about.id'; most: number }
  | { code: 'not proven to rewarm'; field: 'about.id' }
  | { code: 'lot needed'; field: 'body.lot' }
  | { code: 'package needed'; field: 'body.item'; lot: string }
  | { code: 'not proven to serve'; field: 'about.id'; batch: string }
  | { code: 'time to serve is up'; field: 'about.id'; batch: string }
  | { code: 'heated here'; field: 'body.pasteurized' }
  | { code: 'other lineage'; field: 'body' | 'body.item' }
  | { code: 'more than is left'; field: 'body.grams'; left: number }
  | { code: 'item gone'; field: 'about.id' }
  | { code: 'item shut'; field: 'about.id' | 'body.measure' | 'body.topping'; item: string; why: PartShut }
  | { code: 'move shut'; field: 'body.how' | 'body.unit'; item: string; why: MoveShut }
  | { code: 'not to open'; field: 'about.id'; item: string }
  | { code: 'not proven to leave'; field: 'body.last' | 'body.frozen'; batch: string }
  | { code: 'nothing went out'; field: 'about.id'; item: string }
  | { code: 'recall stands'; field: 'about.id'; item: string }
  | { code: 'recalled already'; field: 'about.id'; lot: string }
  | { code: 'reason short'; field: 'body.reason' }
  | { code: 'no lead left'; field: 'body.role' }
  | { code: 'no role for it'; field: 'body.administers' }
  | { code: 'not taken back'; field: 'body.target'; why: 'stands' | 'late' }
  | { code: 'lot refused'; field: 'body.verdict'; lot: string }
  | { code: 'lot not accepted'; field: 'body.lot'; lot: string }
  | { code: 'received otherwise'; field: 'body.verdict'; why: ReceivingReason }
  | { code: 'keeps too long'; field: 'body.version'; days: number; limit: Limit<DaysRule> }
  /** What a written plan is made from is not what the lead saw. */
  | { code: 'plan changed'; field: 'body.basis' }
  | { code: 'not guidance'; field: 'body.limit' }
  /** A line or a bake is signed until then at the latest. */
  | { code: 'signed too long'; field: string; last: Day }
  | { code: 'not crumb'; field: 'about.id' }
  | { code: 'bakes wanting'; field: 'body.bake.shownBy' }
  | { code: 'bake not shown'; field: 'body.bake.shownBy'; batch: string; why: BakeNotShown }
  | { code: 'kept, not served'; field: 'about.id' }
  | { code: 'backdated'; field: 'body.set.from' }
  /** What it is about waits for the lead still. */
  | { code: 'matter open'; field: 'body.action' | 'body.batches' }
  | { code: 'day not over'; field: 'body.day'; day: Day }
  | { code: 'day long over'; field: 'body.day'; day: Day; days: number }
  | { code: 'changed since'; field: 'body.findings' }
  | { code: 'decision shut'; field: 'body.decision'; decision: Decision; why: Shut }
