// Command fribbet keeps a dog's nails right.
package main

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"os"
	"os/signal"
	"strings"
	"syscall"

	"github.com/spf13/cobra"

	"fribbet/internal/words"
)

func main() {
	root := &cobra.Command{
		Use:           "fribbet",
		Short:         "Keeps a dog's nails right",
		SilenceUsage:  true,
		SilenceErrors: true,
	}
	root.PersistentFlags().Bool("json", false, "tell what came of it as JSON, for scripts")
	root.AddCommand(
		serveCommand(),
		demoCommand(),
		rebuildCommand(),
		backupCommand(),
		restoreCommand(),
		exportCommand(),
		importCommand(),
		dueCommand(),
		passphraseCommand(),
		versionCommand(),
	)
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	err := root.ExecuteContext(ctx)
	var code exitCode
	switch {
	case err != nil && ctx.Err() != nil:
		fmt.Fprintln(os.Stderr, "Stopped before it was done: nothing was written.")
		os.Exit(interrupted)
	case errors.As(err, &code):
		os.Exit(int(code))
	case err != nil:
		fmt.Fprintln(os.Stderr, "Error:", words.In(words.Units{Codes: true}, machines(os.Getenv("LANG"))).Err(err))
		os.Exit(1)
	}
}

// machines is the language of a machine's own setting, de_DE.UTF-8, as browsers name it.
func machines(setting string) string {
	name, _, _ := strings.Cut(setting, ".")
	return strings.ReplaceAll(name, "_", "-")
}

// tell says what came of a command: in words, or as JSON.
func tell(cmd *cobra.Command, what any, text string, args ...any) error {
	if asJSON, err := cmd.Flags().GetBool("json"); err == nil && asJSON {
		return json.NewEncoder(cmd.OutOrStdout()).Encode(what)
	}
	_, err := fmt.Fprintf(cmd.OutOrStdout(), text, args...)
	return err
}

// exitCode ends a command that did what it should with something to tell by its code.
type exitCode int

// interrupted is the code of a command that was told to stop (common practice: 128 and the signal's number).
const interrupted = 130

// somebodyDue is that of fribbet due. 1 is an error, 0 that all is well.
const somebodyDue exitCode = 3

func (c exitCode) Error() string { return fmt.Sprintf("exit code %d", int(c)) }
