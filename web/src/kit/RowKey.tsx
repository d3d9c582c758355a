import ButtonBase, { type ButtonBaseProps } from '@mui/material/ButtonBase'
import { clsx } from 'clsx'

/** A row, a name or a drawing that can be tapped: without the face of a key, with its size and outline. */
export function RowKey({ className, ...rest }: ButtonBaseProps) {
  return <ButtonBase className={clsx('row-key', className)} {...rest} />
}
