export { addHives, changeHive, retireHive, schoolHives } from './hive-records';
export { dayAtSchool } from './school-day';
export { addHive, addSite } from './service';
export { keepSite, retireSite, schoolSites } from './site-records';
export { keepSitePlan, sitePlan, sitesOut } from './site-plan';
export { setUpOf } from './set-up';
export { siteNames, siteOf, turnOf } from './sites';
export {
  allHives,
  allSites,
  changeColony,
  changeSite,
  coloniesById,
  coloniesIn,
  colonyById,
  colonyIn,
  type ColonyRow,
  hiveOfColony,
  type HiveRow,
  hivesById,
  hivesOf,
  keepStack,
  siteById,
  type SiteRow,
  sitesOf,
} from './store';
