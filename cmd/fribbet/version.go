package main

import (
	"runtime"

	"github.com/spf13/cobra"
)

// revision is which Fribbet this is, as git describes it: make tells it to the linker.
var revision = "unknown"

// versionCommand says it.
func versionCommand() *cobra.Command {
	return &cobra.Command{
		Use: "version", Short: "Say which Fribbet this is", Args: cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			v := struct {
				Revision string `json:"revision"`
				Go       string `json:"go"`
			}{revision, runtime.Version()}
			return tell(cmd, v, "fribbet %s, %s\n", v.Revision, v.Go)
		},
	}
}
