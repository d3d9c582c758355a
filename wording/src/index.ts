export * from './figures'
export * from './findingWords'
export * from './refusalSentence'
