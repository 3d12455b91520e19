package roster

import "fribbet/internal/core/say"

// What is said here.
const (
	mustBeADateSuch      say.Key = "roster.must_be_a_date_such"
	mustBeANameThe       say.Key = "roster.must_be_a_name_the"
	mustBeANameWhere     say.Key = "roster.must_be_a_name_where"
	mustBeANumberOf      say.Key = "roster.must_be_a_number_of"
	mustBeANumberOfYears say.Key = "roster.must_be_a_number_of_years"
	mustBeToldHowThick   say.Key = "roster.must_be_told_how_thick"
	mustBeToldOrAn       say.Key = "roster.must_be_told_or_an"
	mustBeWordsNotA      say.Key = "roster.must_be_words_not_a"
)
