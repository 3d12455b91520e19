// Package undo says what a press that took something away can give back, and for how long.
package undo

import "time"

// What is something that one press takes away and another gives back.
type What string

// What can be given back. A picture is not among them: who deletes one wants it gone, from backups too; nor is a
// device that was shut out.
const (
	Sitting   What = "sitting"
	Try       What = "try"
	Ladder    What = "ladder"
	QuickPlan What = "quick_plan"
	KitItem   What = "kit_item"
	Owner     What = "owner"
	Slices    What = "slices"
)

// Whats are all of them.
func Whats() []What { return []What{Sitting, Try, Ladder, QuickPlan, KitItem, Owner, Slices} }

// For is how long the press that gives it back is shown (judgement).
const For = time.Minute

// onTheWay is what a press made in time may take to come here (judgement).
const onTheWay = 15 * time.Second

// Since is the earliest moment at which it can have been taken away to be given back now.
func Since(now time.Time) time.Time { return now.Add(-For - onTheWay) }
