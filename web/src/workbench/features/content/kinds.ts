import type { FieldKind } from '../../../shared/contract'

/** What a field's values can be, in the words of the screens. */
export const kinds: readonly { value: FieldKind; label: string }[] = [
  { value: 'text', label: 'Text' },
  { value: 'category', label: 'Category' },
  { value: 'number', label: 'Number' },
  { value: 'money', label: 'Money' },
  { value: 'date', label: 'Date' },
  { value: 'place', label: 'Place' },
  { value: 'yes-no', label: 'Yes or no' },
  { value: 'image', label: 'Image' },
  { value: 'link', label: 'Link' },
  { value: 'code', label: 'Code' },
]
