import { CanActivate, createParamDecorator, ExecutionContext, Injectable, SetMetadata } from '@nestjs/common'
import { Reflector } from '@nestjs/core'
import type { Request } from 'express'
import { Problem } from '../http/problem'
import { Accounts, type Account } from './accounts.service'
import { Contacts } from './contacts.service'
import { Shifts, type Shift } from './shifts.service'

export const SHIFT_COOKIE = 'lt_shift'
export const TABLET_COOKIE = 'lt_tablet'
export const ACCOUNT_COOKIE = 'lt_account'

type WithShift = Request & { shift?: Shift; account?: Account }

/** A cookie of ours: the shift's, unless it says which; null when the tablet has none. */
export function cookieOf(request: Request, name = SHIFT_COOKIE): string | null {
  const { [name]: cookie } = request.cookies as Record<string, unknown>
  return typeof cookie === 'string' ? cookie : null
}

/**
 * Who may call a route: 'read' needs a tablet that belongs to a kitchen, 'write' an open shift of somebody who is no auditor;
 * 'account' somebody who signed in with a password; 'nothing' is open to anybody. A route that does not say is closed.
 */
export const Needs = (access: Access) => SetMetadata('access', access)

type Access = 'nothing' | 'account' | 'read' | 'write'

/** The shift of the request; only on routes that need one. */
export const OfShift = createParamDecorator((_: unknown, context: ExecutionContext): Shift => {
  const { shift } = context.switchToHttp().getRequest<WithShift>()
  if (!shift) throw new Problem(401, 'no shift', 'Open a shift with your name and PIN.')
  return shift
})

/** Who signed in with a password; only on routes that need it. */
export const OfAccount = createParamDecorator((_: unknown, context: ExecutionContext): Account => {
  const { account } = context.switchToHttp().getRequest<WithShift>()
  if (!account) throw new Problem(401, 'not signed in', 'Sign in with your name and password.')
  return account
})

@Injectable()
export class ShiftGuard implements CanActivate {
  constructor(
    private readonly reflector: Reflector,
    private readonly shifts: Shifts,
    private readonly accounts: Accounts,
    private readonly contacts: Contacts,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const access = this.reflector.getAllAndOverride<Access | undefined>('access', [
      context.getHandler(),
      context.getClass(),
    ])
    if (!access) throw new Problem(403, 'closed', 'Nobody may ask for this.')
    if (access === 'nothing') return true
    const request = context.switchToHttp().getRequest<Request>()
    if (access === 'account') await requireAccount(request, this.accounts)
    else {
      await requireShift(request, this.shifts, access)
      await this.hear(request)
    }
    return true
  }

  /** That a tablet of the kitchen asks is noted before it is answered: what it sends now may be of a time in which it could not. */
  private async hear({ shift, headers }: WithShift): Promise<void> {
    if (!shift?.tabletId) return
    const tablet = { kitchenId: shift.kitchenId, id: shift.tabletId }
    await this.contacts.heard(tablet)
    await this.contacts.heardRun(tablet, headers['lt-run']?.toString())
  }
}

/** The shift of a request, looked for once. Throws a Problem where it has none, or one that may only read: locked, or an auditor's. */
export async function requireShift(request: WithShift, shifts: Shifts, access: 'read' | 'write'): Promise<void> {
  const cookie = cookieOf(request)
  const shift = request.shift ?? (cookie === null ? null : await shifts.find(cookie))
  if (!shift) throw new Problem(401, 'no shift', 'Open a shift with your name and PIN.')
  if (access === 'write' && !shift.open)
    throw new Problem(401, 'locked', 'The shift is locked. Open it with your name and PIN.')
  if (access === 'write' && shift.role === 'inspector')
    throw new Problem(403, 'reads only', 'An auditor reads, and enters nothing. Open a shift with another name.')
  // What is entered is entered by hands.
  if (access === 'write' && cookie !== null) await shifts.touch(cookie)
  request.shift = shift
}

/** Who signed in, looked for once. Throws a Problem where nobody did. */
export async function requireAccount(request: WithShift, accounts: Accounts): Promise<void> {
  const cookie = cookieOf(request, ACCOUNT_COOKIE)
  const account = request.account ?? (cookie === null ? null : await accounts.find(cookie))
  if (!account) throw new Problem(401, 'not signed in', 'Sign in with your name and password.')
  request.account = account
}
