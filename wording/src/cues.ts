/** How a dessert looks, sounds and moves on the heat. House words, by family; they move no standing. */
export interface Cue {
  key: string
  text: string
}

const cue = (text: string): Cue => ({ key: text.toLowerCase().replaceAll(' ', '-'), text })

const EVERYWHERE = ['Tasted, clean spoon', 'First steam', 'Thickens', 'Smells of egg', 'Catches at the bottom'].map(cue)

const OF_FAMILY: Record<string, Cue[]> = {
  'poured-custard': ['Froth is gone', 'Coats the spoon', 'Line holds on the spoon', 'Grainy at the edge'].map(cue),
  'fruit-curd': ['Foam is gone', 'Mounds on the whisk', 'Glossy', 'Specks of white'].map(cue),
  'white-foam': ['Stiff peaks', 'Glossy', 'Browned on top'].map(cue),
  'yolk-foam': ['Ribbon holds', 'Doubled', 'Browned on top'].map(cue),
  'baked-custard': ['Trembles in the middle', 'Browned on top'].map(cue),
  'heated-nog': ['Froth is gone', 'Coats the spoon', 'Skin forms'].map(cue),
}

export function cuesOf(family: string): Cue[] {
  return [...(OF_FAMILY[family] ?? []), ...EVERYWHERE]
}
