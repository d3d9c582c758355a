import { labelArt, PAPERS, type LabelFacts, type Paper } from '@logged-thermal/wording'
import { labelPicture, labelSheet } from './labelSheet'
import { noticeSheet, type NoticeText } from './noticeSheet'

/** Run beside the server's thread: a label takes tens of milliseconds to draw. */
export function sheet({ facts, copies, paper }: { facts: LabelFacts[]; copies: number; paper: Paper }) {
  return labelSheet(
    facts.map((each) => labelArt(each, PAPERS[paper].label)),
    copies,
    paper,
  )
}

export function picture(facts: LabelFacts): Uint8Array {
  const { label } = PAPERS.roll
  return labelPicture(labelArt(facts, label), label)
}

export function notice(text: NoticeText): Promise<Buffer> {
  return noticeSheet(text)
}
