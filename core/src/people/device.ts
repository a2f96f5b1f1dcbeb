const BROWSERS: readonly (readonly [RegExp, string])[] = [
  [/\b(Edg|EdgA|EdgiOS)\//, 'Edge'],
  [/\b(OPR|Opera)\//, 'Opera'],
  [/\bSamsungBrowser\//, 'Samsung Internet'],
  [/\b(Firefox|FxiOS)\//, 'Firefox'],
  [/\b(HeadlessChrome|Chrome|CriOS)\//, 'Chrome'],
  [/\bSafari\//, 'Safari'],
];
const SYSTEMS: readonly (readonly [RegExp, string])[] = [
  [/\b(iPhone|iPad)\b/, 'iOS'],
  [/\bAndroid\b/, 'Android'],
  [/\bWindows\b/, 'Windows'],
  [/\bMac OS X\b/, 'macOS'],
  [/\bCrOS\b/, 'ChromeOS'],
  [/\bLinux\b/, 'Linux'],
];

const first = (of: typeof BROWSERS, text: string): string | undefined => of.find(([sign]) => sign.test(text))?.[1];

/**
 * What a browser says it is, so that somebody knows their own devices again.
 *
 * @param userAgent the header of that name, as it was sent
 * @returns browser and system by their names; empty where neither is known
 * @example deviceOf('Mozilla/5.0 (X11; Linux x86_64; rv:130.0) Gecko/20100101 Firefox/130.0') // 'Firefox, Linux'
 */
export const deviceOf = (userAgent: string): string =>
  [first(BROWSERS, userAgent), first(SYSTEMS, userAgent)].filter((each) => each !== undefined).join(', ');
