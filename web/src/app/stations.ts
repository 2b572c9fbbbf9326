import { aim } from '../aim/station'
import { build } from '../build/station'
import { check } from '../check/station'
import { fit } from '../fit/station'
import { loads } from '../loads/station'
import type { Station } from '../machine/station'
import { ratio } from '../ratio/station'
import { set } from '../set/station'

/** The stations of a machine, in the order of the work: strip, routes, keys and Find read them from here. */
export const STATIONS: Station[] = [aim, ratio, fit, loads, build, set, check]
