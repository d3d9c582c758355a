import fc from 'fast-check'
import { depthOf, isPiece, piecesFor, type Inside } from './vessel'

const glass: Inside = { kind: 'round', diameter: 0.06, height: 0.09 }

it('fills as many pieces as it takes, none over nine tenths, and no more than that', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.05, max: 40, noNaN: true }), (litres) => {
      const count = piecesFor(litres, glass)
      expect(depthOf(litres, glass, count)).toBeLessThanOrEqual(glass.height * 0.9 + 1e-9)
      if (count > 1) expect(depthOf(litres, glass, count - 1)).toBeGreaterThan(glass.height * 0.9 - 1e-9)
    }),
  )
})

it.each<[string, Inside, boolean]>([
  ['a glass', glass, true],
  ['a mould of half a litre', { kind: 'rectangular', length: 0.1, width: 0.1, height: 0.05 }, true],
  ['a pail', { kind: 'round', diameter: 0.22, height: 0.24 }, false],
  ['a frame', { kind: 'rectangular', length: 0.56, width: 0.36, height: 0.045 }, false],
])('knows whether %s is a piece', (_, inside, piece) => {
  expect(isPiece(inside)).toBe(piece)
})
