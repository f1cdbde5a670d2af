import { GAUGE_SET_NAME } from '@/core/setting/gauges';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { optionsOf, Toggles } from '@/ui/Choice';

import { shelfActions } from '@/state/shelfSlice';

/** Gauges in the shop; checks of a gap choose from them. */
export function GaugeSets() {
  const owned = useAppSelector((state) => state.shelf.gauges);
  const dispatch = useAppDispatch();
  return (
    <Toggles
      bare
      label="Gauges in the shop"
      chosen={owned}
      options={optionsOf(GAUGE_SET_NAME)}
      onToggle={(id) => dispatch(shelfActions.gaugeSetToggled(id))}
    />
  );
}
