// Command fribbet keeps a dog's nails right.
package main

import (
	"errors"
	"fmt"
	"os"

	"github.com/spf13/cobra"
)

func main() {
	root := &cobra.Command{
		Use:           "fribbet",
		Short:         "Keeps a dog's nails right",
		SilenceUsage:  true,
		SilenceErrors: true,
	}
	root.AddCommand(serveCommand(), demoCommand(), rebuildCommand(), backupCommand(), restoreCommand(), exportCommand(), importCommand(), dueCommand(), passphraseCommand())
	err := root.Execute()
	var code exitCode
	switch {
	case errors.As(err, &code):
		os.Exit(int(code))
	case err != nil:
		fmt.Fprintln(os.Stderr, "Error:", err)
		os.Exit(1)
	}
}

// exitCode ends a command that did what it should with something to tell by its code.
type exitCode int

// somebodyDue is that of fribbet due. 1 is an error, 0 that all is well.
const somebodyDue exitCode = 3

func (c exitCode) Error() string { return fmt.Sprintf("exit code %d", int(c)) }
