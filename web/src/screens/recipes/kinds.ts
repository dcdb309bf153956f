/** The kinds a recipe is made of, as the server names them and as the trade says them. */
interface Kind {
  value: string
  words: string
}

export const fillings: Kind[] = [
  { value: 'rawFruit', words: 'raw fruit' },
  { value: 'precookedFruit', words: 'precooked fruit' },
  { value: 'maceratedFruit', words: 'macerated fruit' },
  { value: 'berry', words: 'berries' },
  { value: 'bakedCustard', words: 'baked custard' },
  { value: 'puree', words: 'puree' },
  { value: 'cookedCream', words: 'cooked cream' },
  { value: 'curd', words: 'curd' },
  { value: 'nutSyrup', words: 'nut syrup' },
  { value: 'nutPaste', words: 'nut paste' },
  { value: 'savoury', words: 'savoury' },
]

export const tops: Kind[] = [
  { value: 'open', words: 'open' },
  { value: 'lid', words: 'a lid' },
  { value: 'lattice', words: 'a lattice' },
  { value: 'cutOuts', words: 'cut-outs' },
  { value: 'crumble', words: 'crumble' },
  { value: 'meringue', words: 'meringue' },
  { value: 'fold', words: 'folded over' },
]

/** The schools of a crisp bottom. */
export const schools: Kind[] = [
  { value: 'plain', words: 'raw base' },
  { value: 'hotTray', words: 'hot tray' },
  { value: 'seal', words: 'sealed with egg' },
  { value: 'ovenFloor', words: 'floor of the oven' },
  { value: 'partBlind', words: 'part bake' },
  { value: 'fullBlind', words: 'full blind bake' },
  { value: 'shortHotSet', words: 'short hot set' },
]

export const linings: Kind[] = [
  { value: 'onePiece', words: 'in one piece' },
  { value: 'floorAndStrips', words: 'floor and wall strips' },
  { value: 'pressed', words: 'pressed in' },
  { value: 'smallRounds', words: 'small rounds' },
]

export const coolings: Kind[] = [
  { value: 'freeForm', words: 'an hour on the rack' },
  { value: 'short', words: 'two hours on the rack' },
  { value: 'fruit', words: 'four to six hours' },
  { value: 'curd', words: 'three hours, then cold' },
  { value: 'coldSet', words: 'four hours of cold' },
  { value: 'safetyClock', words: 'by the cooling rule' },
]

export const families: Kind[] = [
  { value: 'flaky', words: 'flaky 3-2-1' },
  { value: 'veryRich', words: 'very rich flaky' },
  { value: 'folded', words: 'folded' },
  { value: 'smeared', words: 'smeared or stacked' },
  { value: 'short', words: 'short crust' },
  { value: 'sweetTart', words: 'sweet tart dough' },
  { value: 'eggBound', words: 'egg-bound' },
  { value: 'mixedFat', words: 'mixed fat' },
  { value: 'nutEnriched', words: 'nut-enriched' },
  { value: 'raised', words: 'raised crostata' },
  { value: 'boughtIn', words: 'bought in' },
]

export const panFamilies: Kind[] = [
  { value: 'sloped', words: 'round, sloped' },
  { value: 'straight', words: 'round, straight' },
  { value: 'fluted', words: 'fluted' },
  { value: 'deep', words: 'round, deep' },
  { value: 'rectangular', words: 'rectangular' },
  { value: 'slab', words: 'slab' },
  { value: 'mould', words: 'small mould' },
  { value: 'foil', words: 'foil' },
  { value: 'freeForm', words: 'no pan' },
]

export const panMaterials: Kind[] = [
  { value: 'steel', words: 'bright steel' },
  { value: 'darkSteel', words: 'dark steel' },
  { value: 'aluminium', words: 'aluminium' },
  { value: 'foil', words: 'foil' },
  { value: 'glass', words: 'glass' },
  { value: 'ceramic', words: 'earthenware' },
  { value: 'tray', words: 'the tray' },
]
