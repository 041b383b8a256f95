/** What visitors read unless an owner words it otherwise: the one home of it, which the service reads, too. */
export { default as usualTexts } from '../../../texts/en.json'
