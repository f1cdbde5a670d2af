import { Platform } from 'react-native';

interface PressLike {
  readonly preventDefault?: () => void;
}

/**
 * Makes a pressable a real link in the browser, so that Enter follows it and it can be opened in a new tab; navigation stays in
 * the application.
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
