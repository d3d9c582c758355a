import { memo, Suspense, useEffect, type ReactNode } from 'react'
import { Route, Routes } from 'react-router'
import { HOUR } from '@logged-thermal/core'
import { shellMessages } from '@logged-thermal/wording'
import { LineView } from '../line/LineView'
import { sentenceOf, useLearnedQuery, useLineQuery, useShiftQuery } from '../app/api'
import { useAlarms } from '../app/alarms'
import { useLedger } from '../app/ledger'
import type { LineData } from '../app/lineData'
import { useLive } from '../app/live'
import { useReload } from '../app/reload'
import { KitProvider } from '../kit/KitProvider'
import { later, useReadAhead } from '../kit/later'
import { Whole } from '../kit/Whole'
import { Shell } from './Shell'
import { NotFound } from './NotFound'
import { useIdleLock } from '../app/useIdleLock'
import { useLanguageInHand } from '../app/useLanguageInHand'
import { useSeenHead } from '../app/useSeenHead'
import { useSender } from '../app/sender'
import { every } from '../app/now'
import { useAppSelector } from '../app/store'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

const Login = later(() => import('../login/Login'), 'Login')
const Door = later(() => import('./Door'), 'Door')
const StartBatch = later(() => import('../start/StartBatch'), 'StartBatch')
const Bench = later(() => import('../bench/Bench'), 'Bench')
const LimitsView = later(() => import('../limits/LimitsView'), 'LimitsView')
const TemperView = later(() => import('../temper/TemperView'), 'TemperView')
const CooldownView = later(() => import('../cooldown/CooldownView'), 'CooldownView')
const RoundView = later(() => import('../round/RoundView'), 'RoundView')
const HandoverView = later(() => import('../handover/HandoverView'), 'HandoverView')
const TracesView = later(() => import('../traces/TracesView'), 'TracesView')
const FitnessView = later(() => import('../fitness/FitnessView'), 'FitnessView')
const PeopleView = later(() => import('../people/PeopleView'), 'PeopleView')
const Certificate = later(() => import('../instruments/Certificate'), 'Certificate')
const CheckView = later(() => import('../instruments/CheckView'), 'CheckView')
const InstrumentPage = later(() => import('../instruments/InstrumentPage'), 'InstrumentPage')
const LookBackView = later(() => import('../instruments/LookBackView'), 'LookBackView')
const SettingsView = later(() => import('../settings/SettingsView'), 'SettingsView')
const HoursView = later(() => import('../signing/HoursView'), 'HoursView')
const InstrumentsView = later(() => import('../instruments/InstrumentsView'), 'InstrumentsView')
const ColdStore = later(() => import('../store/ColdStore'), 'ColdStore')
const StockList = later(() => import('../store/StockList'), 'StockList')
const UnitRound = later(() => import('../store/UnitRound'), 'UnitRound')
const BinRound = later(() => import('../store/BinRound'), 'BinRound')
const ReceiveView = later(() => import('../store/ReceiveView'), 'ReceiveView')
const ItemPage = later(() => import('../store/ItemPage'), 'ItemPage')
const LineageView = later(() => import('../store/LineageView'), 'LineageView')
const LogView = later(() => import('../log/LogView'), 'LogView')
const WeekView = later(() => import('../review/WeekView'), 'WeekView')
const TranscribedView = later(() => import('../transcribed/TranscribedView'), 'TranscribedView')
const PacketsView = later(() => import('../packets/PacketsView'), 'PacketsView')
const TrendsView = later(() => import('../trends/TrendsView'), 'TrendsView')
const ChangesView = later(() => import('../log/ChangesView'), 'ChangesView')
const ReviewView = later(() => import('../review/ReviewView'), 'ReviewView')
const UnitPage = later(() => import('../log/UnitPage'), 'UnitPage')
const PersonPage = later(() => import('../log/PersonPage'), 'PersonPage')
const BatchPage = later(() => import('../log/BatchPage'), 'BatchPage')
const SignInView = later(() => import('../account/SignInView'), 'SignInView')
const GroupView = later(() => import('../group/GroupView'), 'GroupView')
const SetUp = later(() => import('../setup/SetUp'), 'SetUp')
const More = later(() => import('./More'), 'More')
const MethodsView = later(() => import('../methods/MethodsView'), 'MethodsView')
const NewMethodView = later(() => import('../methods/NewMethodView'), 'NewMethodView')
const MethodEditor = later(() => import('../methods/MethodEditor'), 'MethodEditor')
const ListsView = later(() => import('../lists/ListsView'), 'ListsView')
const PlanView = later(() => import('../methods/plan/PlanView'), 'PlanView')
const MethodCard = later(() => import('../methods/MethodCard'), 'MethodCard')

/** Where a tap on the Line may lead. */
const NEXT = [Bench, StartBatch, CooldownView, ColdStore]

export function App() {
  const night = useAppSelector(({ tablet }) => tablet.theme === 'night')
  return (
    <KitProvider night={night}>
      {Gallery && location.pathname === '/kit' ? (
        <Suspense>
          <Gallery />
        </Suspense>
      ) : (
        <Routes>
          <Route path="/sign-in" element={<Alone view={<SignInView />} />} />
          <Route path="/group" element={<Alone view={<GroupView />} />} />
          <Route path="/set-up" element={<Alone view={<SetUp />} />} />
          <Route path="*" element={<Opened />} />
        </Routes>
      )}
    </KitProvider>
  )
}

const Gallery = import.meta.env.DEV ? later(() => import('../kit/Gallery'), 'Gallery') : null

/** A view that is no kitchen's own: who works in several, or founds another, has no shift yet. */
function Alone({ view }: { view: ReactNode }) {
  return <Suspense fallback={<Opening />}>{view}</Suspense>
}

/** The login until this tablet belongs to a kitchen; then its views. A locked tablet still shows the Line. */
function Opened() {
  const { data, error, refetch } = useShiftQuery()
  if (error && !data) return <Unanswered error={error} again={refetch} />
  if (!data) return <Opening />
  if (data.shift) return <Kitchen />
  return (
    <Suspense fallback={<Opening />}>
      <Door />
    </Suspense>
  )
}

/** What could not be asked of the server, nor found on this tablet: it is asked again until it is there. */
function Unanswered({ error, again }: { error: unknown; again: () => unknown }) {
  useEffect(() => every(ASKED_AGAIN, () => void again()), [again])
  return <Whole>{sentenceOf(error)}</Whole>
}

/** So often, ms. */
const ASKED_AGAIN = 4_000

function Kitchen() {
  const { isThere, error, refetch } = useLineQuery(undefined, { selectFromResult: lineFound })
  return (
    <>
      <AtWork isThere={isThere} />
      {isThere ? (
        <Shell>
          <Views />
        </Shell>
      ) : error ? (
        <Unanswered error={error} again={refetch} />
      ) : (
        <Opening />
      )}
    </>
  )
}

/** What it tells is looked at where it is shown: the views are not drawn anew with each entry. */
function lineFound({ data, error }: { data?: LineData | undefined; error?: unknown }) {
  return { isThere: data !== undefined, error }
}

/** What goes on whatever is shown. It draws nothing. */
function AtWork({ isThere }: { isThere: boolean }) {
  useLearnedQuery(undefined, { pollingInterval: HOUR, selectFromResult: NOTHING_OF_IT })
  useLedger(isThere)
  useSender()
  useReload()
  useLive()
  useAlarms()
  useSeenHead()
  useIdleLock()
  useLanguageInHand()
  useReadAhead(NEXT)
  return null
}

const NOTHING_OF_IT = () => ({})

const Views = memo(function Views() {
  return (
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
        <Route path="/log" element={<LogView />} />
        <Route path="/log/week" element={<WeekView />} />
        <Route path="/log/transcribed" element={<TranscribedView />} />
        <Route path="/log/packets" element={<PacketsView />} />
        <Route path="/log/trends" element={<TrendsView />} />
        <Route path="/log/changes" element={<ChangesView />} />
        <Route path="/log/review" element={<ReviewView />} />
        <Route path="/log/batch/:id" element={<BatchPage />} />
        <Route path="/round" element={<RoundView />} />
        <Route path="/lists" element={<ListsView />} />
        <Route path="/handover" element={<HandoverView />} />
        <Route path="/instruments" element={<InstrumentsView />} />
        <Route path="/instruments/:id" element={<InstrumentPage />} />
        <Route path="/instruments/:id/check" element={<CheckView />} />
        <Route path="/instruments/:id/look-back" element={<LookBackView />} />
        <Route path="/instruments/:id/certificate/:entry" element={<Certificate />} />
        <Route path="/settings" element={<SettingsView />} />
        <Route path="/hours" element={<HoursView />} />
        <Route path="/traces" element={<TracesView />} />
        <Route path="/fitness" element={<FitnessView />} />
        <Route path="/people/:id" element={<PersonPage />} />
        <Route path="/store/unit/:id" element={<UnitPage />} />
        <Route path="/people" element={<PeopleView />} />
        <Route path="/temper" element={<TemperView />} />
        <Route path="/limits" element={<LimitsView />} />
        <Route path="/methods" element={<MethodsView />} />
        <Route path="/methods/new" element={<NewMethodView />} />
        <Route path="/methods/:id" element={<MethodEditor />} />
        <Route path="/methods/:id/card" element={<MethodCard />} />
        <Route path="/methods/:id/plan" element={<PlanView />} />
        <Route path="/login" element={<Login />} />
        <Route path="/more" element={<More />} />
        <Route path="*" element={<NotFound />} />
      </Routes>
    </Suspense>
  )
})

/** While the logbook, or a view, is on its way. */
function Opening() {
  return <Whole busy>{say('opening')}</Whole>
}
