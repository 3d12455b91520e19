// Package worked is for tests alone: how long something took of the processor, which a test may bound on a machine that
// is busy with other things.
package worked

import (
	"syscall"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
)

// Time is the processor time of this process while something was done, in the program's own code and in the system's.
func Time(t *testing.T, does func()) time.Duration {
	t.Helper()
	used := func() time.Duration {
		var u syscall.Rusage
		require.NoError(t, syscall.Getrusage(syscall.RUSAGE_SELF, &u))
		return time.Duration(u.Utime.Nano() + u.Stime.Nano())
	}
	before := used()
	does()
	return used() - before
}
