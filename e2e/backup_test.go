package e2e

import (
	"math/rand/v2"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func command(args ...string) *exec.Cmd {
	bin := os.Getenv("FRIBBET_BIN")
	if bin == "" {
		bin = filepath.Join("..", "bin", "fribbet")
	}
	return exec.Command(bin, args...)
}

// run is a command that must go through, and how long it took.
func run(t *testing.T, args ...string) time.Duration {
	t.Helper()
	from := time.Now()
	said, err := command(args...).CombinedOutput()
	require.NoError(t, err, string(said))
	return time.Since(from)
}

// killed is a command that is killed at some moment of the time that it usually takes.
func killed(t *testing.T, usually time.Duration, args ...string) {
	t.Helper()
	cmd := command(args...)
	require.NoError(t, cmd.Start())
	time.Sleep(time.Duration(rand.Int64N(int64(usually))))
	_ = cmd.Process.Signal(syscall.SIGKILL) // it may have ended
	_ = cmd.Wait()
}

// aBook is a book with the demonstration's dogs, closed.
func aBook(t *testing.T) string {
	t.Helper()
	path := filepath.Join(t.TempDir(), "book.db")
	p := start(t, "demo", "--data", path, "--today", day, "--listen", anywhere)
	require.NoError(t, p.cmd.Process.Signal(syscall.SIGTERM))
	require.NoError(t, p.cmd.Wait())
	return path
}

// A backup that is killed at any moment leaves no half one under its name, and the book as it was.
func TestABackupThatIsKilledIsNoBackup(t *testing.T) {
	t.Parallel()
	path := aBook(t)
	dir := t.TempDir()
	usually := run(t, "backup", "--data", path, filepath.Join(dir, "first.db"))
	made := 0
	for range 8 {
		out := filepath.Join(dir, "out.db")
		killed(t, usually, "backup", "--data", path, out)
		if _, err := os.Stat(out); err == nil {
			made++
			check := filepath.Join(dir, "check.db")
			run(t, "backup", "--data", out, check)
			require.NoError(t, os.Remove(check))
			require.NoError(t, os.Remove(out))
		}
	}
	t.Logf("%d of 8 were made before they were killed", made)
	run(t, "backup", "--data", path, filepath.Join(dir, "out.db"))
	assert.Len(t, serve(t, path, day, anywhere).dogs(), 24)
}

// A restore that is killed at any moment leaves the old book or the new one, whole, and is done when it is
// asked for again.
func TestARestoreThatIsKilledLeavesOneBookOrTheOther(t *testing.T) {
	t.Parallel()
	path := aBook(t)
	dir := t.TempDir()
	empty, full := filepath.Join(dir, "empty.db"), filepath.Join(dir, "full.db")
	run(t, "backup", "--data", path, full)
	fresh := filepath.Join(dir, "fresh.db")
	p := serve(t, fresh, day, anywhere)
	require.NoError(t, p.cmd.Process.Signal(syscall.SIGTERM))
	require.NoError(t, p.cmd.Wait())
	run(t, "backup", "--data", fresh, empty)

	kept := func() string { return filepath.Join(dir, "look.db") }
	usually := run(t, "restore", "--data", path, full)
	seen := map[bool]int{}
	for i := range 8 {
		backup := empty
		if i%2 == 1 {
			backup = full
		}
		killed(t, usually, "restore", "--data", path, backup)
		run(t, "backup", "--data", path, kept()) // it is a sound book
		info, err := os.Stat(kept())
		require.NoError(t, err)
		isFull := info.Size() > 1<<20
		seen[isFull == (i%2 == 1)]++
		require.NoError(t, os.Remove(kept()))
		run(t, "restore", "--data", path, backup)
	}
	t.Logf("the restore was done before it was killed %d times of 8", seen[true])
	assert.Len(t, serve(t, path, day, anywhere).dogs(), 24, "the last was the full one")
	replaced, err := filepath.Glob(filepath.Join(path+".backups", "*-replaced.db"))
	require.NoError(t, err)
	assert.GreaterOrEqual(t, len(replaced), 8, "all that was replaced is there still")
}

// On the screen: a backup, a dog more, back to the backup, and back to what that replaced.
func TestABackupIsPutBackOnTheScreen(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	settings := program.address + "/settings/backup"
	p.open(settings)
	p.press("button", "Back up now")
	p.sees("Made, read back whole, and sound")

	p.open(program.address + "/dogs/new")
	p.fill("name", "Fig")
	p.fill("weight", "6")
	p.fill("years", "3")
	p.press("button", "Add this dog")
	p.sees("How to begin with")
	require.Len(t, program.dogs(), 2)
	p.open(settings)
	p.press("button", "Restore…")
	p.press("button", "Restore this one")
	p.find("li", "what a restore replaced")
	assert.Equal(t, []string{"Moss"}, names(program.dogs()))

	p.press("li:has(.soft:not(:empty)) button[aria-label]", "Restore…") // the newest: what was replaced
	p.press("button", "Restore this one")
	require.Eventually(t, func() bool { return len(program.dogs()) == 2 }, patience, 200*time.Millisecond)
	p.open(program.address)
	p.sees("Fig")
}

func names(dogs map[string]string) []string {
	var all []string
	for name := range dogs {
		all = append(all, strings.TrimSpace(name))
	}
	return all
}
