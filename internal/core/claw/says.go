package claw

import "fribbet/internal/core/say"

// What is said here.
const (
	mustBeLessThanRadius say.Key = "claw.must_be_less_than_radius"
)
