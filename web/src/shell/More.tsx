import { Link } from 'react-router'
import { shellMessages } from '@logged-thermal/wording'
import { IN_MORE, places } from '../app/places'
import { KeyRow } from '../kit/KeyRow'
import { Shortcuts } from '../app/Shortcuts'
import { SearchKey } from '../app/SearchKey'
import { TabletState } from '../app/TabletState'
import { TabletKeys } from '../app/TabletKeys'
import { View } from '../app/View'
import styles from './more.module.css'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

/** Every place that is not in the bar. */
export function More() {
  return (
    <View
      place="more"
      sentence={
        <>
          <strong>{say('moreTitle')}</strong> {say('moreRest')}
        </>
      }
    >
      <div className={styles.more}>
        <section aria-label={say('thisTablet')}>
          <h2 className="title">{say('thisTablet')}</h2>
          <KeyRow>
            <SearchKey look="outlined" />
            <TabletKeys />
          </KeyRow>
          <TabletState />
        </section>
        {IN_MORE.map(({ name, of }) => (
          <section key={name} aria-label={name}>
            <h2 className="title">{name}</h2>
            <ul>
              {of.map((key) => (
                <li key={key}>
                  <Link to={places[key].path}>
                    <strong>{places[key].name}</strong>
                    <span>{places[key].says}</span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        ))}
        <Shortcuts />
      </div>
    </View>
  )
}
