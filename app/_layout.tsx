import { Slot } from 'expo-router';

import { Root } from '@/store/Root';

export default function RootLayout() {
  return (
    <Root>
      <Slot />
    </Root>
  );
}
