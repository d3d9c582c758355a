import { useLoginQuery } from '../app/api'
import { later } from '../kit/later'
import { Login } from '../login/Login'

const SetUp = later(() => import('../setup/SetUp'), 'SetUp')

/** Before a shift: who opens one, or, where no kitchen is yet, what it is to be. */
export function Door() {
  const { data } = useLoginQuery(undefined, { refetchOnMountOrArgChange: true })
  return data?.length === 0 ? <SetUp /> : <Login />
}
