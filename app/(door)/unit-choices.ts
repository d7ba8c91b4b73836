/** In what a new workshop writes tensions. */
export const UNIT_CHOICES = [
  { value: 'kg', text: 'kilograms' },
  { value: 'lb', text: 'pounds' },
] as const;
