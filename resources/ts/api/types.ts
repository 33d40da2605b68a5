import type { components } from './schema.gen';

type Schemas = components['schemas'];

export type Me = Schemas['Me'];
export type Grain = Schemas['Grain'];
export type Drawer = Schemas['Drawer'];
export type DrawerImport = Schemas['DrawerImport'];
export type Study = Schemas['Study'];
export type Studies = Schemas['Studies'];
export type Spot = Schemas['Spot'];
export type Pass = Schemas['Pass'];
export type Recipe = Schemas['Recipe'];
export type Recipes = Schemas['Recipes'];
export type NewEntry = Schemas['NewEntry'];
export type Entry = Schemas['Entry'];
export type Plan = Schemas['Plan'];
export type Problem = Schemas['Problem'];
