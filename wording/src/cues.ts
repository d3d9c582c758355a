/** How a dessert looks, sounds and moves on the heat. House words, by family; they move no standing. */
export interface Cue {
  key: string
  text: string
}

const cue = (text: string): Cue => ({ key: text.toLowerCase().replaceAll(' ', '-'), text })

const EVERYWHERE = ['First steam', 'Thickens', 'Smells of egg', 'Catches at the bottom'].map(cue)

const OF_FAMILY: Record<string, Cue[]> = {
  'poured-custard': ['Froth is gone', 'Coats the spoon', 'Line holds on the spoon', 'Grainy at the edge'].map(cue),
  'fruit-curd': ['Foam is gone', 'Mounds on the whisk', 'Glossy', 'Specks of white'].map(cue),
  'heated-nog': ['Froth is gone', 'Coats the spoon', 'Skin forms'].map(cue),
}

export function cuesOf(family: string): Cue[] {
  return [...(OF_FAMILY[family] ?? []), ...EVERYWHERE]
}
