package practice_test

import (
	"fmt"
	"math/rand/v2"

	"fribbet/internal/core/kit"
	"fribbet/internal/core/practice"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/verdict"
	"fribbet/internal/core/virtual"
)

// A drawn nail is the same to everybody who names its seed: it is cut once, and left.
func ExampleRoom_Play() {
	room := practice.Room{
		Chance: func(seed, stream uint64) virtual.Random { return rand.New(rand.NewPCG(seed, stream)) },
		Terms:  verdict.For(quick.AtFirstSign, kit.SomeHand, true, false),
	}
	g, err := room.Play(
		practice.Exercise{Kind: practice.Dark, Seed: 12, Number: 3},
		[]practice.Move{{MM: 0.5}, {Stop: true}},
	)
	fmt.Println(g.Steps[0].Face, g.Bled, g.Early, err)
	// Output:
	// white false 4 <nil>
}
