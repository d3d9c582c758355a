import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { Global, Module, type DynamicModule } from '@nestjs/common'
import { clock } from '../clock/clock'
import { WritingScope } from '../database/writingScope'
import { Heads } from './heads.service'
import { RememberedHeads } from './rememberedHeads'
import { SigningKeys } from './signingKey'

/** The files of the installation that prove what the database cannot: its keys, and the heads it signed. */
export function sealsIn(folder: string): { keys: SigningKeys; heads: RememberedHeads } {
  return {
    keys: SigningKeys.open(join(folder, KEYS), clock.now()),
    heads: new RememberedHeads(join(folder, 'signed-heads.json')),
  }
}

/** Whether an installation has signed before. */
export function hasSeals(folder: string): boolean {
  return existsSync(join(folder, KEYS))
}

const KEYS = 'signing-keys.json'

@Global()
@Module({})
export class SealingModule {
  /** @param folder of these files; null: nothing is signed */
  static for(folder: string | null): DynamicModule {
    const { keys, heads } = folder === null ? { keys: null, heads: null } : sealsIn(folder)
    return {
      module: SealingModule,
      providers: [
        { provide: Heads, inject: [WritingScope], useFactory: (scope: WritingScope) => new Heads(scope, keys, heads) },
      ],
      exports: [Heads],
    }
  }
}
