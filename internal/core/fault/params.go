package fault

// MostInLine is how many fields one line names.
const MostInLine = 20

// mostTold is how many letters of a refused value are told back.
const mostTold = 80
