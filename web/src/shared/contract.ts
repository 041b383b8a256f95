/** The wire format, from the API's own description. Nothing else names these shapes. */
import type { components } from './api'

type Schemas = components['schemas']

export type Hit = Schemas['HitShape']
export type Run = Schemas['Run']
export type Results = Schemas['Results']
export type LiveResults = Schemas['LiveResults']
export type LiveGroup = Schemas['LiveGroup']
export type SearchFace = Schemas['SearchFace']

export type Session = Schemas['Session']
export type Site = Schemas['Site']
export type CollectionShape = Schemas['CollectionShape']
export type FieldShape = Schemas['FieldShape']
export type FieldKind = FieldShape['kind']
export type ItemPage = Schemas['ItemPage']
export type ItemRow = Schemas['ItemRow']
export type SearchSummary = Schemas['Summary']
export type SearchDesign = Schemas['SearchDesign']
export type FieldWeight = Schemas['FieldWeight']
export type Words = Schemas['Words']
export type Remark = Schemas['Remark']
export type Difference = Schemas['Difference']
export type AccessKey = Schemas['AccessKey']
export type NewKey = Schemas['NewKey']
