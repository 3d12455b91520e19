package access

import "fribbet/internal/core/say"

// What is said here.
const (
	mustHaveAtMost40 say.Key = "access.must_have_at_most_40"
	mustNotBeEmpty   say.Key = "access.must_not_be_empty"
)
