import { useState } from 'react'
import type { Hash } from '@logged-thermal/core'
import { mattersMessages } from '@logged-thermal/wording'
import { FileKey } from '../kit/FileKey'
import { Key } from '../kit/Key'
import { speaks } from '../kit/language'
import { api, sentenceOf } from './api'
import { smallPicture } from './smallPicture'
import styles from './incident.module.css'

const say = speaks(mattersMessages)

const photosApi = api.injectEndpoints({
  endpoints: (build) => ({
    keepPhoto: build.mutation<{ hash: Hash }, { jpeg: string }>({
      query: (body) => ({ url: 'photos', method: 'POST', body }),
    }),
  }),
})

interface Props {
  /** null: there is none. */
  photo: Hash | null
  onPhoto: (photo: Hash | null) => void
}

/** One photo, if somebody takes one: made small on the tablet, kept by the server, named by its hash. */
export function PhotoField({ photo, onPhoto }: Props) {
  const [keep, { isLoading, error, reset }] = photosApi.useKeepPhotoMutation()
  const [shown, setShown] = useState<string | null>(null)
  const [isNone, setIsNone] = useState(false)
  const take = async (file: File) => {
    reset()
    const jpeg = await smallPicture(file)
    setIsNone(jpeg === null)
    if (jpeg === null) return
    const { data } = await keep({ jpeg })
    if (!data) return
    setShown(jpeg)
    onPhoto(data.hash)
  }
  const leaveOut = () => {
    setShown(null)
    onPhoto(null)
  }
  const wrong = isNone ? say('noPicture') : error ? sentenceOf(error) : null
  return (
    <div className={styles.photo}>
      {photo && shown && <img src={`data:image/jpeg;base64,${shown}`} alt={say('photo')} />}
      {photo ? (
        <Key look="outlined" onClick={leaveOut}>
          {say('leaveOutPhoto')}
        </Key>
      ) : (
        <FileKey label={say('photo')} accept="image/*" disabled={isLoading} onFile={(file) => void take(file)}>
          {say('addPhoto')}
        </FileKey>
      )}
      {wrong && <p role="alert">{wrong}</p>}
    </div>
  )
}
