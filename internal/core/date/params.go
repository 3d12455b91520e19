package date

// DaysPerYear is the mean length of a year, leap years among the others (Julian calendar; the Gregorian one is 0.0075
// shorter).
const DaysPerYear = 365.25

// unixEpoch is 1970-01-01 as a day number (Rata Die: 1 is 0001-01-01).
const unixEpoch = 719163

// MostSpan is the longest that a span may be, days: a year away is not a holiday.
const MostSpan = 366
