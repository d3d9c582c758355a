import { filledTo, largestDepth, prospectOf, tryOut } from '@logged-thermal/core'
import type { TrialAnswer, TrialsAsked } from './trialsAsked'

/** Simulates away from the page, so that it never stutters; the page ends the worker to cancel. */
self.onmessage = ({ data: { trials, stages } }: MessageEvent<TrialsAsked>) => {
  const answer = (message: TrialAnswer) => self.postMessage(message)
  trials.forEach((trial, index) => answer({ kind: 'result', index, result: tryOut(trial, stages) }))
  const places = new Map(trials.filter(({ iceFirst }) => iceFirst === 0).map((trial) => [trial.place, trial]))
  for (const [place, { vessel, load, cover }] of places) {
    const prospectAt = (depth: number) =>
      prospectOf(
        { shape: filledTo(vessel.inside, depth), composition: load.composition, wall: vessel.wall },
        place,
        cover,
      )
    answer({ kind: 'depth', place, metres: largestDepth(prospectAt, load.celsius, stages) })
  }
  answer({ kind: 'done' })
}
