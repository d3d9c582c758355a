/** Whether what is pressed goes into a field, or belongs to a sheet that is open: then it is no shortcut of the page. */
export function isTyping({ target, ctrlKey, metaKey, altKey }: KeyboardEvent): boolean {
  if (ctrlKey || metaKey || altKey) return true
  if (document.querySelector('[role="dialog"]')) return true
  return (
    target instanceof HTMLElement && target.closest('input, textarea, [contenteditable], [role="combobox"]') !== null
  )
}
