import { lazy, Suspense } from 'react'
import { Route, Routes } from 'react-router'
import { shellMessages } from '@logged-thermal/wording'
import { Login } from '../login/Login'
import { LineView } from '../line/LineView'
import { StartBatch } from '../start/StartBatch'
import { sentenceOf, useLineQuery, useShiftQuery } from '../app/api'
import { useAlarms } from '../app/alarms'
import { useLive } from '../app/live'
import { useReload } from '../app/reload'
import { KitProvider } from '../kit/KitProvider'
import { Whole } from '../kit/Whole'
import { Shell } from './Shell'
import { NotFound } from './NotFound'
import { useSeenHead } from '../app/useSeenHead'
import { useSender } from '../app/sender'
import { useAppSelector } from '../app/store'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

const Bench = lazy(() => import('../bench/Bench').then(({ Bench: component }) => ({ default: component })))

export function App() {
  const night = useAppSelector(({ tablet }) => tablet.theme === 'night')
  return (
    <KitProvider night={night}>
      {Gallery && location.pathname === '/kit' ? (
        <Suspense>
          <Gallery />
        </Suspense>
      ) : (
        <Opened />
      )}
    </KitProvider>
  )
}

const Gallery = import.meta.env.DEV
  ? lazy(() => import('../kit/Gallery').then(({ Gallery: component }) => ({ default: component })))
  : null

/** The login until this tablet belongs to a kitchen; then its views. A locked tablet still shows the Line. */
function Opened() {
  const { data, error } = useShiftQuery()
  if (error && !data) return <Whole>{sentenceOf(error)}</Whole>
  if (!data) return <Opening />
  return data.shift ? <Kitchen /> : <Login />
}

const LimitsView = lazy(() =>
  import('../limits/LimitsView').then(({ LimitsView: component }) => ({ default: component })),
)

const TemperView = lazy(() =>
  import('../temper/TemperView').then(({ TemperView: component }) => ({ default: component })),
)

const CooldownView = lazy(() =>
  import('../cooldown/CooldownView').then(({ CooldownView: component }) => ({ default: component })),
)

const RoundView = lazy(() => import('../round/RoundView').then(({ RoundView: component }) => ({ default: component })))
const HandoverView = lazy(() =>
  import('../handover/HandoverView').then(({ HandoverView: component }) => ({ default: component })),
)

const PeopleView = lazy(() =>
  import('../people/PeopleView').then(({ PeopleView: component }) => ({ default: component })),
)

const InstrumentsView = lazy(() =>
  import('../instruments/InstrumentsView').then(({ InstrumentsView: component }) => ({ default: component })),
)

const ColdStore = lazy(() => import('../store/ColdStore').then(({ ColdStore: component }) => ({ default: component })))
const StockList = lazy(() => import('../store/StockList').then(({ StockList: component }) => ({ default: component })))
const UnitRound = lazy(() => import('../store/UnitRound').then(({ UnitRound: component }) => ({ default: component })))
const BinRound = lazy(() => import('../store/BinRound').then(({ BinRound: component }) => ({ default: component })))
const ReceiveView = lazy(() =>
  import('../store/ReceiveView').then(({ ReceiveView: component }) => ({ default: component })),
)
const ItemPage = lazy(() => import('../store/ItemPage').then(({ ItemPage: component }) => ({ default: component })))
const LineageView = lazy(() =>
  import('../store/LineageView').then(({ LineageView: component }) => ({ default: component })),
)

const More = lazy(() => import('./More').then(({ More: component }) => ({ default: component })))
const MethodsView = lazy(() =>
  import('../methods/MethodsView').then(({ MethodsView: component }) => ({ default: component })),
)
const MethodEditor = lazy(() =>
  import('../methods/MethodEditor').then(({ MethodEditor: component }) => ({ default: component })),
)
const MethodCard = lazy(() =>
  import('../methods/MethodCard').then(({ MethodCard: component }) => ({ default: component })),
)

function Kitchen() {
  const { data, error } = useLineQuery()
  useSender()
  useReload()
  useLive()
  useAlarms()
  useSeenHead()
  if (!data) return error ? <Whole>{sentenceOf(error)}</Whole> : <Opening />
  return (
    <Shell>
      <Suspense fallback={<Opening />}>
        <Routes>
          <Route path="/" element={<LineView />} />
          <Route path="/start" element={<StartBatch />} />
          <Route path="/bench/:id?" element={<Bench />} />
          <Route path="/cooldown/:id?" element={<CooldownView />} />
          <Route path="/store" element={<ColdStore />} />
          <Route path="/store/list" element={<StockList />} />
          <Route path="/store/round" element={<UnitRound />} />
          <Route path="/store/bin" element={<BinRound />} />
          <Route path="/store/receive" element={<ReceiveView />} />
          <Route path="/store/item/:id" element={<ItemPage />} />
          <Route path="/store/lineage/:type/:id" element={<LineageView />} />
          <Route path="/round" element={<RoundView />} />
          <Route path="/handover" element={<HandoverView />} />
          <Route path="/instruments" element={<InstrumentsView />} />
          <Route path="/people" element={<PeopleView />} />
          <Route path="/temper" element={<TemperView />} />
          <Route path="/limits" element={<LimitsView />} />
          <Route path="/methods" element={<MethodsView />} />
          <Route path="/methods/:id" element={<MethodEditor />} />
          <Route path="/methods/:id/card" element={<MethodCard />} />
          <Route path="/login" element={<Login />} />
          <Route path="/more" element={<More />} />
          <Route path="*" element={<NotFound />} />
        </Routes>
      </Suspense>
    </Shell>
  )
}

/** While the logbook, or a view, is on its way. */
function Opening() {
  return <Whole busy>{say('opening')}</Whole>
}
