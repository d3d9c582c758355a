import { useRef, type ReactNode } from 'react'
import { Key } from './Key'

interface Props {
  children: ReactNode
  /** What the file is, for those who hear the page. */
  label: string
  /** '.json', '.csv,text/csv'. */
  accept: string
  disabled?: boolean
  onFile: (file: File) => void
}

/** A key that takes a file from the tablet. The same file can be taken again. */
export function FileKey({ children, label, accept, disabled = false, onFile }: Props) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <Key disabled={disabled} onClick={() => input.current?.click()}>
        {children}
      </Key>
      <input
        ref={input}
        hidden
        type="file"
        accept={accept}
        aria-label={label}
        onChange={({ target }) => {
          const [chosen] = target.files ?? []
          if (chosen) onFile(chosen)
          target.value = ''
        }}
      />
    </>
  )
}
