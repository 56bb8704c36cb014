/** Words of the picture, with the state whose colour and pattern they share: smear and wobble are sharp or not, shake is steady or not. */
export const sharpWords = {
  sharp: { word: 'Sharp', state: 'holds' },
  soft: { word: 'Soft', state: 'tight' },
  unusable: { word: 'Unusable', state: 'lets-go' },
  steady: { word: 'Steady', state: 'holds' },
  lively: { word: 'Lively', state: 'tight' },
  none: { word: 'None', state: 'holds' },
  rough: { word: 'Rough', state: 'lets-go' },
} as const;
