import { speak } from './app/language/speak';
import { useKeptUnits } from './app/language/units';

speak(navigator.languages);
useKeptUnits();

const [{ bootstrapApplication }, { App }, { appConfig }] = await Promise.all([
  import('@angular/platform-browser'),
  import('./app/app'),
  import('./app/app.config'),
]);

bootstrapApplication(App, appConfig).catch((error: unknown) => {
  console.error(error);
});
