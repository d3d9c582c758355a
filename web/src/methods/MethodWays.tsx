import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableRow from '@mui/material/TableRow'
import { waysOf, type Method, type Way } from '@logged-thermal/core'
import { waysMessages } from '@logged-thermal/wording'
import { speaks } from '../kit/language'

const say = speaks(waysMessages)

/** Which way this method goes where kitchens differ, and what that changes. */
export function MethodWays({ method }: { method: Method }) {
  const ways = waysOf(method)
  if (ways.length === 0) return null
  return (
    <section aria-label={say('ways')}>
      <h2 className="title">{say('ways')}</h2>
      <Table size="small">
        <TableBody>
          {ways.map((each) => (
            <TableRow key={each.about}>
              <TableCell component="th" scope="row">
                {say(`about_${each.about}`)}
              </TableCell>
              <TableCell>{changes(each)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </section>
  )
}

function changes(each: Way): string {
  switch (each.about) {
    case 'heat':
      return say(`heat_${each.way}`)
    case 'boil':
      return say(`boil_${each.way}`)
    case 'butter':
      return say(`butter_${each.way}`)
    case 'strain':
      return say(`strain_${each.way}`)
    case 'cooling':
      return say(`cooling_${each.way}`)
    case 'cover':
      return say(`cover_${each.way}`)
  }
}
