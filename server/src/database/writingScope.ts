import { Injectable } from '@nestjs/common'
import { KitchenScope } from './kitchenScope'

/** The same through connections of its own: while the logbook waits for a lock, everybody can still read it. */
@Injectable()
export class WritingScope extends KitchenScope {}
