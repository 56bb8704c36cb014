/** Words of the picture, with the state whose colour and pattern they share. */
export const sharpWords = {
  sharp: { word: 'Sharp', state: 'holds' },
  soft: { word: 'Soft', state: 'tight' },
  unusable: { word: 'Unusable', state: 'lets-go' },
} as const;
