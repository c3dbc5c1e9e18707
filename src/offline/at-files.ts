import { addressAsked, fileFor } from './from-files'

// Before anything of a page reads its address. Where a server answers an unknown address with the page for unknown addresses, this runs in it.
const asked = addressAsked(location)
const file = fileFor(location)
if (asked) history.replaceState(history.state, '', asked)
else if (file) location.replace(file)
