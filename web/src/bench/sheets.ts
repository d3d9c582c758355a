import { later } from '../kit/later'

/** Each sheet of the Bench comes by itself: the Bench opens without them, and has them come while nobody waits. */
export const AciditySheet = later(() => import('./AciditySheet'), 'AciditySheet')
export const AddSheet = later(() => import('./AddSheet'), 'AddSheet')
export const CoolingSheet = later(() => import('./CoolingSheet'), 'CoolingSheet')
export const CueSheet = later(() => import('./CueSheet'), 'CueSheet')
export const DecideSheet = later(() => import('../decide/DecideSheet'), 'DecideSheet')
export const EggsSheet = later(() => import('../eggs/EggsSheet'), 'EggsSheet')
export const LoggerSheet = later(() => import('./LoggerSheet'), 'LoggerSheet')
export const LotsSheet = later(() => import('./LotsSheet'), 'LotsSheet')
export const MarkReason = later(() => import('./MarkReason'), 'MarkReason')
export const MoreSheet = later(() => import('./MoreSheet'), 'MoreSheet')
export const PaperSheet = later(() => import('./PaperSheet'), 'PaperSheet')
export const PartsSheet = later(() => import('../store/PartsSheet'), 'PartsSheet')
export const PlaceSheet = later(() => import('./PlaceSheet'), 'PlaceSheet')
export const PourSheet = later(() => import('./PourSheet'), 'PourSheet')
export const PutAwaySheet = later(() => import('../store/PutAwaySheet'), 'PutAwaySheet')
export const ReadingsSheet = later(() => import('./ReadingsSheet'), 'ReadingsSheet')
export const RewarmSheet = later(() => import('./RewarmSheet'), 'RewarmSheet')
export const StepsSheet = later(() => import('./StepsSheet'), 'StepsSheet')
export const TemperSheet = later(() => import('../temper/TemperSheet'), 'TemperSheet')
export const ToolSheet = later(() => import('./ToolSheet'), 'ToolSheet')

/** The seldom wanted last. */
export const SHEETS = [
  MoreSheet,
  ReadingsSheet,
  StepsSheet,
  MarkReason,
  CueSheet,
  EggsSheet,
  TemperSheet,
  AddSheet,
  CoolingSheet,
  PourSheet,
  PlaceSheet,
  PartsSheet,
  PutAwaySheet,
  DecideSheet,
  LotsSheet,
  ToolSheet,
  AciditySheet,
  RewarmSheet,
  PaperSheet,
  LoggerSheet,
]
