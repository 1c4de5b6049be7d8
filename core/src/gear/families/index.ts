import { FAMILY_IDS, type FamilyId } from '../../model/index.ts'
import type { Family } from '../family.ts'
import { b1 } from './b1.ts'
import { b2 } from './b2.ts'
import { b3 } from './b3.ts'
import { c1 } from './c1.ts'
import { c2 } from './c2.ts'
import { c3 } from './c3.ts'
import { c4 } from './c4.ts'
import { c5 } from './c5.ts'
import { h01 } from './h01.ts'
import { h02 } from './h02.ts'
import { h03 } from './h03.ts'
import { h04 } from './h04.ts'
import { h05 } from './h05.ts'
import { h06 } from './h06.ts'
import { h07 } from './h07.ts'
import { h08 } from './h08.ts'
import { h09 } from './h09.ts'
import { h10 } from './h10.ts'
import { h11 } from './h11.ts'
import { h12 } from './h12.ts'
import { h13 } from './h13.ts'
import { h14 } from './h14.ts'
import { h15 } from './h15.ts'
import { h16 } from './h16.ts'
import { h17 } from './h17.ts'
import { h18 } from './h18.ts'
import { h19 } from './h19.ts'
import { h20 } from './h20.ts'
import { h21 } from './h21.ts'
import { h22 } from './h22.ts'
import { h23 } from './h23.ts'
import { h24 } from './h24.ts'
import { k1 } from './k1.ts'
import { k2 } from './k2.ts'
import { k3 } from './k3.ts'
import { k4 } from './k4.ts'

/** Every family and item of the handbook, a file each. */
export const families: Readonly<Record<FamilyId, Family>> = {
  H01: h01,
  H02: h02,
  H03: h03,
  H04: h04,
  H05: h05,
  H06: h06,
  H07: h07,
  H08: h08,
  H09: h09,
  H10: h10,
  H11: h11,
  H12: h12,
  H13: h13,
  H14: h14,
  H15: h15,
  H16: h16,
  H17: h17,
  H18: h18,
  H19: h19,
  H20: h20,
  H21: h21,
  H22: h22,
  H23: h23,
  H24: h24,
  C1: c1,
  C2: c2,
  C3: c3,
  C4: c4,
  C5: c5,
  B1: b1,
  B2: b2,
  B3: b3,
  K1: k1,
  K2: k2,
  K3: k3,
  K4: k4,
}

/** Every family, in the order of the handbook. */
export const allFamilies: readonly Family[] = FAMILY_IDS.map((id) => families[id])
