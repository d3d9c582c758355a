import { useNavigate } from 'react-router'
import { shell } from '@logged-thermal/wording'
import { useSay } from '../app/useSay'
import { View } from '../app/View'
import { Key } from '../kit/Key'
import { Whole } from '../kit/Whole'

/** An address that leads nowhere. */
export function NotFound() {
  const say = useSay(shell)
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
