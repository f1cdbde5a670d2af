import { Platform } from 'react-native';

interface PressLike {
  readonly preventDefault?: () => void;
}

/**
 * Makes what is pressed a real link in the browser, so that Enter follows it and it can be opened elsewhere; the
 * application goes there itself.
 */
export function webLink(href: string, onOpen: () => void) {
  return {
    ...(Platform.OS === 'web' ? { href } : {}),
    onPress: (event?: PressLike) => {
      event?.preventDefault?.();
      onOpen();
    },
  };
}
