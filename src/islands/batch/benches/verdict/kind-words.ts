export { OPTION_NAMES as KIND } from '../../../../words/verdict'
