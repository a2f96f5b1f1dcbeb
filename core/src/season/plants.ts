import type { MonthDay } from '../units';
import type { PollenColour } from '../inspection';

/** What makes a plant flower: warmth summed up since the turn of the year, or the length of the day. */
export type BloomDriver = 'warmth' | 'day-length';

/** A plant that bees work, with its usual bloom in the reference climate. */
export interface Plant {
  readonly id: string;
  readonly latin: string;
  readonly nectar: number;
  readonly pollen: number;
  readonly driver: BloomDriver;
  /** Temperature below which it does not develop, °C. */
  readonly base: number;
  /** Usual first bloom in the lowlands of the maritime north at 52°, the reference climate. */
  readonly opens: MonthDay;
  /** Usual length of bloom, days. */
  readonly days: number;
  /** Colours of its pollen loads, likeliest first. Colour alone never settles it. */
  readonly colours: readonly PollenColour[];
}

type Row = readonly [
  id: string,
  latin: string,
  opens: MonthDay,
  days: number,
  nectar: number,
  pollen: number,
  base: number,
  colours: readonly PollenColour[],
  driver?: BloomDriver,
];

/**
 * A general list of temperate plants. Dates, lengths, worth and colours: common practice, from memory; each site corrects them by what it sees.
 */
const ROWS: readonly Row[] = [
  ['hazel', 'Corylus avellana', '01-25', 45, 0, 3, 0, ['pale-yellow', 'green']],
  ['winter-aconite', 'Eranthis hyemalis', '01-28', 35, 1, 2, 0, ['yellow']],
  ['snowdrop', 'Galanthus nivalis', '01-30', 40, 1, 2, 0, ['orange', 'golden']],
  ['alder', 'Alnus glutinosa', '02-10', 35, 0, 3, 0, ['yellow', 'green']],
  ['elm', 'Ulmus species', '02-25', 20, 0, 2, 0, ['grey', 'green']],
  ['crocus', 'Crocus species', '02-18', 30, 2, 3, 0, ['orange', 'golden']],
  ['winter-heath', 'Erica carnea', '02-05', 70, 3, 2, 0, ['grey', 'white']],
  ['gorse', 'Ulex europaeus', '02-25', 75, 0, 3, 2, ['brown', 'orange']],
  ['silver-maple', 'Acer saccharinum', '02-28', 16, 2, 3, 2, ['pale-yellow', 'grey']],
  ['cornelian-cherry', 'Cornus mas', '03-02', 25, 2, 2, 2, ['yellow', 'green']],
  ['goat-willow', 'Salix caprea', '03-12', 32, 3, 4, 3, ['yellow', 'golden']],
  ['dead-nettle', 'Lamium purpureum', '03-15', 60, 2, 2, 3, ['red', 'brick-red']],
  ['blackthorn', 'Prunus spinosa', '03-28', 22, 2, 2, 3, ['yellow', 'brown']],
  ['box', 'Buxus sempervirens', '03-30', 25, 2, 2, 4, ['green', 'pale-yellow']],
  ['cherry', 'Prunus avium', '04-08', 18, 3, 3, 4, ['brown', 'yellow']],
  ['pear', 'Pyrus communis', '04-10', 16, 1, 3, 4, ['red', 'green']],
  ['dandelion', 'Taraxacum officinale', '04-08', 40, 3, 4, 4, ['orange', 'golden']],
  ['norway-maple', 'Acer platanoides', '04-10', 18, 3, 2, 4, ['yellow', 'olive']],
  ['oilseed-rape', 'Brassica napus', '04-16', 35, 4, 4, 4, ['yellow', 'green']],
  ['apple', 'Malus domestica', '04-22', 18, 3, 3, 5, ['pale-yellow', 'white']],
  ['bilberry', 'Vaccinium myrtillus', '04-24', 30, 3, 1, 5, ['white', 'grey']],
  ['sycamore', 'Acer pseudoplatanus', '04-26', 21, 4, 2, 5, ['olive', 'green']],
  ['horse-chestnut', 'Aesculus hippocastanum', '05-02', 22, 3, 3, 5, ['brick-red', 'red']],
  ['rowan', 'Sorbus aucuparia', '05-06', 18, 2, 2, 5, ['green', 'yellow']],
  ['holly', 'Ilex aquifolium', '05-08', 22, 3, 1, 5, ['green', 'yellow']],
  ['hawthorn', 'Crataegus monogyna', '05-08', 22, 3, 2, 5, ['white', 'olive']],
  ['broom', 'Cytisus scoparius', '05-06', 30, 0, 3, 5, ['brick-red', 'orange']],
  ['field-bean', 'Vicia faba', '05-18', 28, 3, 3, 5, ['grey', 'green']],
  ['raspberry', 'Rubus idaeus', '05-24', 28, 4, 2, 6, ['grey', 'white']],
  ['sainfoin', 'Onobrychis viciifolia', '05-28', 35, 4, 3, 6, ['brown', 'golden']],
  ['robinia', 'Robinia pseudoacacia', '05-28', 14, 4, 1, 7, ['pale-yellow', 'white']],
  ['white-clover', 'Trifolium repens', '05-28', 70, 4, 3, 6, ['brown', 'olive']],
  ['red-clover', 'Trifolium pratense', '06-01', 70, 2, 3, 6, ['brown', 'olive']],
  ['cornflower', 'Centaurea cyanus', '06-04', 50, 3, 3, 6, ['white', 'cream']],
  ['bell-heather', 'Erica cinerea', '06-16', 60, 4, 2, 6, ['grey', 'white']],
  ['elder', 'Sambucus nigra', '06-02', 25, 0, 2, 6, ['yellow', 'cream']],
  ['dog-rose', 'Rosa canina', '06-04', 25, 0, 3, 6, ['olive', 'yellow']],
  ['poppy', 'Papaver rhoeas', '06-08', 45, 0, 4, 6, ['black', 'grey']],
  ['phacelia', 'Phacelia tanacetifolia', '06-08', 45, 4, 4, 6, ['blue', 'purple']],
  ['borage', 'Borago officinalis', '06-10', 60, 4, 2, 6, ['grey', 'white']],
  ['tulip-tree', 'Liriodendron tulipifera', '06-10', 25, 4, 2, 8, ['cream', 'pale-yellow']],
  ['bramble', 'Rubus fruticosus', '06-10', 45, 4, 3, 6, ['grey', 'green']],
  ['thyme', 'Thymus species', '06-12', 60, 3, 1, 7, ['grey', 'pale-yellow']],
  ['privet', 'Ligustrum vulgare', '06-18', 22, 2, 2, 7, ['yellow', 'olive']],
  ['viper-s-bugloss', 'Echium vulgare', '06-12', 70, 4, 3, 7, ['blue', 'purple']],
  ['sweet-chestnut', 'Castanea sativa', '06-24', 20, 4, 4, 8, ['yellow', 'green']],
  ['lime-large-leaved', 'Tilia platyphyllos', '06-20', 14, 4, 1, 7, ['green', 'pale-yellow']],
  ['lime', 'Tilia cordata', '07-02', 16, 4, 1, 7, ['green', 'pale-yellow']],
  ['melilot', 'Melilotus species', '06-20', 70, 4, 2, 7, ['yellow', 'brown']],
  ['lucerne', 'Medicago sativa', '06-20', 60, 3, 2, 8, ['olive', 'brown']],
  ['rosebay', 'Chamaenerion angustifolium', '07-01', 45, 4, 3, 7, ['blue', 'green']],
  ['lavender', 'Lavandula species', '06-28', 50, 3, 1, 8, ['golden', 'brown']],
  ['buckwheat', 'Fagopyrum esculentum', '07-05', 35, 4, 2, 8, ['pale-yellow', 'green']],
  ['thistle', 'Cirsium species', '07-02', 60, 3, 2, 7, ['white', 'purple']],
  ['sunflower', 'Helianthus annuus', '07-20', 35, 3, 3, 9, ['orange', 'golden']],
  ['maize', 'Zea mays', '07-22', 16, 0, 2, 10, ['pale-yellow', 'yellow']],
  ['sourwood', 'Oxydendrum arboreum', '07-12', 25, 4, 1, 8, ['grey', 'white']],
  ['himalayan-balsam', 'Impatiens glandulifera', '07-20', 75, 4, 3, 8, ['white', 'cream']],
  ['heather', 'Calluna vulgaris', '08-06', 35, 4, 2, 6, ['grey', 'brown'], 'day-length'],
  ['goldenrod', 'Solidago species', '08-05', 55, 3, 3, 6, ['golden', 'orange'], 'day-length'],
  ['michaelmas-daisy', 'Symphyotrichum species', '08-28', 45, 3, 3, 6, ['golden', 'yellow'], 'day-length'],
  ['ivy', 'Hedera helix', '09-08', 50, 3, 4, 6, ['golden', 'yellow'], 'day-length'],
  ['rosemary', 'Salvia rosmarinus', '03-20', 60, 3, 1, 5, ['grey', 'white']],
];

/** An id made of a plant's name: lower case, dashes. */
export const plantId = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

export const PLANTS: readonly Plant[] = ROWS.map(
  ([id, latin, opens, days, nectar, pollen, base, colours, driver = 'warmth']) => ({
    id,
    latin,
    nectar,
    pollen,
    driver,
    base,
    opens,
    days,
    colours,
  }),
);
