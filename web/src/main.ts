import { speak } from './app/language/speak';

speak(navigator.languages);

const [{ bootstrapApplication }, { App }, { appConfig }] = await Promise.all([
  import('@angular/platform-browser'),
  import('./app/app'),
  import('./app/app.config'),
]);

bootstrapApplication(App, appConfig).catch((error: unknown) => {
  console.error(error);
});
