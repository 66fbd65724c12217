import drawer from '../../demo/drawer.json';
import quayToCamera from '../../demo/rigs/quay-to-camera.json';
import sailLoftTalk from '../../demo/rigs/sail-loft-talk.json';
import slipwayDiary from '../../demo/rigs/slipway-diary.json';

export const DEMO_RIGS: readonly unknown[] = [slipwayDiary, quayToCamera, sailLoftTalk];
export const DEMO_DRAWER = drawer.items;
