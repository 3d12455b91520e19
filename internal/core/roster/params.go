package roster

// leastDigits is what a telephone number has at least.
const leastDigits = 5

// leastOfMonth is how many letters a month is shortened to at least.
const leastOfMonth = 3
