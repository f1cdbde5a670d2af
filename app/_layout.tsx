import { Slot } from 'expo-router';

import { Root } from '@/features/root/Root';

export default function RootLayout() {
  return (
    <Root>
      <Slot />
    </Root>
  );
}
