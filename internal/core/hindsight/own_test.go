package hindsight

import (
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/record"
	"fribbet/internal/core/virtual"
)

// Dogs of one size whose nails grow by half as fast again: their record sets what is usual of that size nearer to it,
// and of no other; ends that show late set the faces. Of few sittings nothing is offered.
func TestABooksOwnRecordOffersWhatIsUsual(t *testing.T) {
	offers := func(w virtual.World) (growths, faces Offer) {
		r := rand.New(rand.NewPCG(6, 1))
		var all []Learnt
		for range 8 {
			d, told := lived(r, w, 60, 4)
			d.Weights = []dog.Weight{{On: monday, Kg: 20}}
			f := feet.FeetAfter(d, told)
			l := Learnt{
				Class:    30,
				Sittings: len(told),
				Usual:    growth.Usual(f.Where(f.Day())),
				Faces:    f.Faces(),
				Told:     len(told),
			}
			l.Gross, l.Before = f.Gross()
			all = append(all, l)
		}
		assert.Empty(t, Offers(all[:1]), "one dog is no rule")
		got := Offers(all)
		for _, o := range got {
			if o.Kind == OwnGrowth {
				assert.Equal(t, 30.0, o.Class)
				growths = o
			} else {
				faces = o
			}
		}
		return growths, faces
	}
	if as, _ := offers(virtual.World{}); as.Kind != "" {
		assert.InDelta(t, 1, as.Times, 0.12, "dogs as most are")
	}
	faster, late := offers(virtual.World{Faster: 1.5, Later: 0.6})
	assert.Greater(t, faster.Times, 1.15)
	assert.InDelta(t, faster.Before*faster.Times, faster.After, 1e-9)
	assert.Less(t, late.After, late.Before-0.1)
	require.NoError(t, late.Faces.Check("faces").Err())
}

// A hand whose millimetre is 1.3 is found from what came off nails that were measured before and after, a ground or
// assumed one apart; of few trims, or as it is meant, nothing is offered.
func TestAHandIsLearntFromWhatCameOff(t *testing.T) {
	r := rand.New(rand.NewPCG(7, 1))
	hand := func(times float64, trims int) []Offer {
		l := Learnt{Class: 30, Usual: 1.1}
		l.Gross.SD, l.Before.SD = 0.35, 0.35
		for range trims {
			before := measure.Number{MM: 15, By: measure.Caliper, SD: 0.3}
			after := measure.Number{MM: 15 - 3*times + 0.3*r.NormFloat64(), By: measure.Caliper, SD: 0.3}
			one := record.NailRecord{
				LengthBefore: &before,
				LengthAfter:  &after,
				Cuts:         []float64{2, 1},
				Tool:         kit.SmallPlier,
			}
			ground, assumed := one, one
			ground.Tool, assumed.Assumed = kit.GrinderBand, true
			l.Hand = l.Hand.And(TakenOff(record.Sitting{Records: []record.NailRecord{one, ground, assumed}}))
		}
		assert.Equal(t, trims, l.Hand.Nails)
		return Offers([]Learnt{l})
	}
	got := hand(1.3, 40)
	require.Len(t, got, 1)
	assert.Equal(t, OwnHand, got[0].Kind)
	assert.InDelta(t, 1.3, got[0].Times, 0.03)
	assert.Equal(t, got[0].Times, OwnTimes(got))
	assert.Empty(t, hand(1, 400), "as it means to")
	assert.Empty(t, hand(1.3, 20), "too few trims")
	assert.Zero(t, OwnTimes(nil))
}
