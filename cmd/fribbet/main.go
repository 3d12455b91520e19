// Command fribbet keeps a dog's nails right.
package main

import (
	"os"

	"github.com/spf13/cobra"
)

func main() {
	root := &cobra.Command{
		Use:           "fribbet",
		Short:         "Keeps a dog's nails right",
		SilenceUsage:  true,
		SilenceErrors: false,
	}
	root.CompletionOptions.DisableDefaultCmd = true
	root.AddCommand(serveCommand(), demoCommand(), rebuildCommand(), backupCommand(), restoreCommand(), passphraseCommand())
	if root.Execute() != nil {
		os.Exit(1)
	}
}
