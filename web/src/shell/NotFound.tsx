import { useNavigate } from 'react-router'
import { shellMessages } from '@logged-thermal/wording'
import { View } from '../app/View'
import { Key } from '../kit/Key'
import { Whole } from '../kit/Whole'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

/** An address that leads nowhere. */
export function NotFound() {
  const navigate = useNavigate()
  return (
    <View place="missing" sentence={<strong>{say('missingTitle')}</strong>}>
      <Whole>
        <p>{say('missingSays')}</p>
        <Key look="primary" onClick={() => void navigate('/')}>
          {say('missingBack')}
        </Key>
      </Whole>
    </View>
  )
}
