// What oxlint (.oxlintrc.json) does not know: Angular's own rules, for components and their templates.
import angular from 'angular-eslint';
import tseslint from 'typescript-eslint';
import controls from './tools/lint/material-controls.mjs';
import words from './tools/lint/whole-messages.mjs';

/** Attributes of templates that hold no words. */
const NO_WORDS = [
  ...['scope', 'rel', 'inputmode', 'autocapitalize', 'accept', 'capture', 'aria-labelledby', 'aria-describedby'],
  ...[
    'aria-live',
    'ariaCurrentWhenActive',
    'aria-haspopup',
    'aria-keyshortcuts',
    'mat-sort-header',
    'matColumnDef',
    'mode',
    'matButton',
    'matDialogClose',
    'appearance',
    'svgIcon',
    'bcMeasure',
    'quantity',
    'step',
    'of',
    'when',
    'queenMark',
    'numbers',
  ],
  ...['d', 'patternUnits', 'patternTransform', 'text-anchor', 'stroke-linecap', 'stroke-linejoin', 'clip-path'],
  ...['preserveAspectRatio'],
];

export default tseslint.config(
  {
    files: ['web/src/**/*.ts'],
    extends: [tseslint.configs.base, ...angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: {
      '@angular-eslint/prefer-on-push-component-change-detection': 'error',
      '@angular-eslint/component-selector': [
        'error',
        { type: ['element', 'attribute'], prefix: 'bc', style: 'kebab-case' },
      ],
    },
  },
  {
    files: ['web/src/app/**/*.ts'],
    ignores: ['**/*.spec.ts', '**/testing/**'],
    plugins: { words },
    rules: { 'words/whole-messages': 'error' },
  },
  {
    files: ['web/src/app/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
    plugins: { controls },
    rules: {
      'controls/material-controls': 'error',
      '@angular-eslint/template/label-has-associated-control': [
        'error',
        { controlComponents: ['mat-select', 'bc-day', 'bc-time'] },
      ],
      '@angular-eslint/template/i18n': [
        'error',
        { checkId: false, checkText: true, checkAttributes: true, ignoreAttributes: NO_WORDS },
      ],
    },
  },
  {
    // What tests show is read by nobody.
    files: ['**/*.spec.ts/*.html'],
    rules: { '@angular-eslint/template/i18n': 'off' },
  },
);
