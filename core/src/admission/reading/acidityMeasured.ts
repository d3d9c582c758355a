import type { Bodies } from '../../ledger/entry'
import type { AcidityMeasure } from '../../recipe/checks/acidity'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { MINUTE } from '../../ground/instant'
import { list, number, object, nameOf, type Field } from '../../ground/field'
import { needsOpenBatch } from '../guard/openBatch'

declare module '../../ledger/entry' {
  interface Bodies {
    'acidity-measured': AcidityMeasure
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    'acidity-measured': Bodies['acidity-measured']
  }
}

/** pH, and water activity where it is known, of a finished and cooled batch. It closes no check of cooking. */
export const acidityMeasured: KindOf<'acidity-measured'> = {
  kind: 'acidity-measured',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const names = ['ph', 'phTolerance', 'waterActivity', 'waterTolerance', 'meter', 'buffers'] as const
    const { ph, phTolerance, waterActivity, waterTolerance, meter, buffers } = object(body, names)
    return {
      ph: number(ph, 0, 14),
      phTolerance: number(phTolerance, 0, 2),
      waterActivity: waterActivity.value === null ? null : number(waterActivity, 0, 1),
      waterTolerance: number(waterTolerance, 0, 0.2),
      meter: nameOf(meter, 40),
      buffers: parseBuffers(buffers),
    }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: needsOpenBatch,
  lateAfter: 15 * MINUTE,
  fact: asEntered,
}

/** Buffers that a meter was read in, six at most: what they are, and what it showed, pH. */
export function parseBuffers(field: Field): AcidityMeasure['buffers'] {
  return list(
    field,
    (each) => {
      const { nominal, read } = object(each, ['nominal', 'read'])
      return { nominal: number(nominal, 0, 14), read: number(read, 0, 14) }
    },
    6,
  )
}
