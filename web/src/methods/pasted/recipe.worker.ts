import { readRecipe, type MeasureSystem } from '@logged-thermal/core'

export interface RecipeAsked {
  text: string
  measures: MeasureSystem
}

/** Reads away from the page, so that typing never stutters. */
self.onmessage = ({ data: { text, measures } }: MessageEvent<RecipeAsked>) => {
  self.postMessage(readRecipe(text, measures))
}
