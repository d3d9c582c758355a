import {
  isLiteralElement,
  isPluralElement,
  isSelectElement,
  type MessageFormatElement,
} from '@formatjs/icu-messageformat-parser'

/** A message with another text for each of its texts; what is filled in stays as it is. */
export function withTexts(
  message: readonly MessageFormatElement[],
  change: (text: string) => string,
): MessageFormatElement[] {
  return message.map((element) => {
    if (isLiteralElement(element)) return { ...element, value: change(element.value) }
    if (!isPluralElement(element) && !isSelectElement(element)) return element
    const options = Object.entries(element.options).map(
      ([name, { value }]) => [name, { value: withTexts(value, change) }] as const,
    )
    return { ...element, options: Object.fromEntries(options) }
  })
}
