import { Migration0001Logbook } from './Migration0001Logbook'
import { Migration0002Bench } from './Migration0002Bench'
import { Migration0003Cooling } from './Migration0003Cooling'
import { Migration0004Store } from './Migration0004Store'
import { Migration0005Course } from './Migration0005Course'
import { Migration0006WentOut } from './Migration0006WentOut'
import { Migration0007Barred } from './Migration0007Barred'
import { Migration0008FoldedBy } from './Migration0008FoldedBy'
import { Migration0009Door } from './Migration0009Door'
import { Migration0010Sealed } from './Migration0010Sealed'
import { Migration0011Tablets } from './Migration0011Tablets'
import { Migration0012People } from './Migration0012People'
import { Migration0013SetUp } from './Migration0013SetUp'
import { Migration0014ShiftRole } from './Migration0014ShiftRole'
import { Migration0015NameKitchen } from './Migration0015NameKitchen'
import { Migration0016Idle } from './Migration0016Idle'
import { Migration0017Accounts } from './Migration0017Accounts'
import { Migration0018NextKitchen } from './Migration0018NextKitchen'
import { Migration0019Log } from './Migration0019Log'
import { Migration0020Fitness } from './Migration0020Fitness'
import { Migration0021Notices } from './Migration0021Notices'
import { Migration0022Photos } from './Migration0022Photos'

/** In order; a released one never changes. */
export const migrations = [
  { name: 'Migration0001Logbook', class: Migration0001Logbook },
  { name: 'Migration0002Bench', class: Migration0002Bench },
  { name: 'Migration0003Cooling', class: Migration0003Cooling },
  { name: 'Migration0004Store', class: Migration0004Store },
  { name: 'Migration0005Course', class: Migration0005Course },
  { name: 'Migration0006WentOut', class: Migration0006WentOut },
  { name: 'Migration0007Barred', class: Migration0007Barred },
  { name: 'Migration0008FoldedBy', class: Migration0008FoldedBy },
  { name: 'Migration0009Door', class: Migration0009Door },
  { name: 'Migration0010Sealed', class: Migration0010Sealed },
  { name: 'Migration0011Tablets', class: Migration0011Tablets },
  { name: 'Migration0012People', class: Migration0012People },
  { name: 'Migration0013SetUp', class: Migration0013SetUp },
  { name: 'Migration0014ShiftRole', class: Migration0014ShiftRole },
  { name: 'Migration0015NameKitchen', class: Migration0015NameKitchen },
  { name: 'Migration0016Idle', class: Migration0016Idle },
  { name: 'Migration0017Accounts', class: Migration0017Accounts },
  { name: 'Migration0018NextKitchen', class: Migration0018NextKitchen },
  { name: 'Migration0019Log', class: Migration0019Log },
  { name: 'Migration0020Fitness', class: Migration0020Fitness },
  { name: 'Migration0021Notices', class: Migration0021Notices },
  { name: 'Migration0022Photos', class: Migration0022Photos },
]
