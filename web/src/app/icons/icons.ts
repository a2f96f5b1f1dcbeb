import { inject, provideEnvironmentInitializer } from '@angular/core';
import { MatIconRegistry } from '@angular/material/icon';
import { DomSanitizer } from '@angular/platform-browser';
import add from '@material-symbols/svg-400/rounded/add.svg';
import air from '@material-symbols/svg-400/rounded/air.svg';
import arrowBack from '@material-symbols/svg-400/rounded/arrow_back.svg';
import arrowForward from '@material-symbols/svg-400/rounded/arrow_forward.svg';
import call from '@material-symbols/svg-400/rounded/call.svg';
import campaign from '@material-symbols/svg-400/rounded/campaign.svg';
import check from '@material-symbols/svg-400/rounded/check.svg';
import close from '@material-symbols/svg-400/rounded/close.svg';
import cloudOff from '@material-symbols/svg-400/rounded/cloud_off.svg';
import edit from '@material-symbols/svg-400/rounded/edit_note.svg';
import flag from '@material-symbols/svg-400/rounded/flag.svg';
import forward from '@material-symbols/svg-400/rounded/fast_forward.svg';
import frame from '@material-symbols/svg-400/rounded/pan_tool.svg';
import groups from '@material-symbols/svg-400/rounded/groups.svg';
import help from '@material-symbols/svg-400/rounded/help.svg';
import light from '@material-symbols/svg-400/rounded/light_mode.svg';
import menu from '@material-symbols/svg-400/rounded/menu.svg';
import play from '@material-symbols/svg-400/rounded/play_arrow.svg';
import print from '@material-symbols/svg-400/rounded/print.svg';
import rain from '@material-symbols/svg-400/rounded/water_drop.svg';
import clock from '@material-symbols/svg-400/rounded/schedule.svg';
import bag from '@material-symbols/svg-400/rounded/shopping_bag.svg';
import smoke from '@material-symbols/svg-400/rounded/local_fire_department.svg';
import sting from '@material-symbols/svg-400/rounded/pest_control.svg';
import thermometer from '@material-symbols/svg-400/rounded/thermostat.svg';
import undo from '@material-symbols/svg-400/rounded/undo.svg';
import visible from '@material-symbols/svg-400/rounded/visibility.svg';
import warning from '@material-symbols/svg-400/rounded/warning.svg';

/** Material Symbols, cut down to those that are used. */
const ICONS: Readonly<Record<string, string>> = {
  add,
  air,
  back: arrowBack,
  forward: arrowForward,
  call,
  campaign,
  check,
  close,
  'no-signal': cloudOff,
  edit,
  flag,
  'move-on': forward,
  frame,
  groups,
  help,
  light,
  menu,
  play,
  print,
  rain,
  clock,
  bag,
  smoke,
  sting,
  thermometer,
  undo,
  visible,
  warning,
};

export const provideIcons = () =>
  provideEnvironmentInitializer(() => {
    const registry = inject(MatIconRegistry);
    const sanitizer = inject(DomSanitizer);
    for (const [name, svg] of Object.entries(ICONS)) {
      registry.addSvgIconLiteral(name, sanitizer.bypassSecurityTrustHtml(svg));
    }
  });
