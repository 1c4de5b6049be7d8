/** Gear families as data: what each is for, its build, its checks' names. */
export { families, suits, type Family, type Shelf, type Suits } from './families.ts'
