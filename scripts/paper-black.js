// The one colour that Paper's shadows take out of its earlier palette.
export const black = '#000000';
