package book

import (
	"sync"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Two devices that ask for the calendar's address at once, the first time, are told the same one.
func TestTheCalendarHasOneAddress(t *testing.T) {
	b := opened(t)
	require.NoError(t, b.ChangeSettings(ctx, chosen(Groomer)))
	keys := make([]string, 8)
	var all sync.WaitGroup
	for i := range keys {
		all.Go(func() {
			key, err := b.CalendarKey(ctx)
			assert.NoError(t, err)
			keys[i] = key
		})
	}
	all.Wait()
	for _, key := range keys {
		assert.Equal(t, keys[0], key)
	}
}
