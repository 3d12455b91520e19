package feet

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/dogtest"
)

func TestADogThatCannotBeIsRefusedByField(t *testing.T) {
	assert.Empty(t, Bounded(plain(), nil, nil))
	for _, n := range []int{0, 23} {
		d := plain()
		d.Handling.MostNails = &n
		assert.Equal(t, []string{"most_nails"}, dogtest.Names(Bounded(d, nil, nil)), n)
	}
	one := 1
	d := plain()
	d.Handling.MostNails = &one
	assert.Empty(t, Bounded(d, nil, nil))
}
