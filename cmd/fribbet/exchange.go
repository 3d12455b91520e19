package main

import (
	"context"
	"fmt"
	"io"
	"os"
	"strings"
	"time"

	"github.com/google/uuid"
	"github.com/spf13/cobra"

	"fribbet/internal/book"
	"fribbet/internal/store"
)

// opened is a book that a command reads or writes; progress goes to the terminal's other channel.
func opened(cmd *cobra.Command, data string, how ...store.Option) (*book.Book, *store.Store, error) {
	path, err := named(data)
	if err != nil {
		return nil, nil, err
	}
	kept, err := store.Open(cmd.Context(), path, how...)
	if err != nil {
		return nil, nil, err
	}
	return book.New(kept, time.Now, book.Options{}), kept, nil
}

// steps tells how far a long work is, every second.
func steps(cmd *cobra.Command, what string) book.Steps {
	last := time.Now()
	return func(done, all int) {
		if time.Since(last) < time.Second {
			return
		}
		last = time.Now()
		if all > done {
			cmd.PrintErrf("%s: %d of %d\n", what, done, all)
		} else {
			cmd.PrintErrf("%s: %d\n", what, done)
		}
	}
}

// exportCommand writes everything as an open package.
func exportCommand() *cobra.Command {
	var data, dog string
	cmd := &cobra.Command{
		Use:   "export OUT.zip",
		Short: "Write everything in the book as tables, logs and pictures in open formats; one dog alone with --dog",
		Args:  cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			b, kept, err := opened(cmd, data, store.Existing)
			if err != nil {
				return err
			}
			defer kept.Close() //nolint:errcheck // it was only read
			write := func(w io.Writer) error { return b.Export(cmd.Context(), w, steps(cmd, "rows")) }
			if dog != "" {
				id, err := uuid.Parse(dog)
				if err != nil {
					return fmt.Errorf("--dog must be a dog's id, such as fribbet due --json tells")
				}
				write = func(w io.Writer) error { return b.ExportDog(cmd.Context(), w, id) }
			}
			if err := wholly(args[0], write); err != nil {
				return err
			}
			info, err := os.Stat(args[0])
			if err != nil {
				return err
			}
			return tell(
				cmd,
				map[string]any{"package": args[0], "bytes": info.Size()},
				"Written to %s: %.1f MB.\n",
				args[0],
				float64(info.Size())/1e6,
			)
		},
	}
	dataFlag(cmd, &data)
	cmd.Flags().StringVar(&dog, "dog", "", "the ID of one dog, for its owner or a veterinarian, with a page to print")
	return cmd
}

// wholly writes a new file, whole or not at all.
func wholly(path string, write func(io.Writer) error) error {
	if _, err := os.Stat(path); err == nil {
		return fmt.Errorf("%s is there already: name a new file", path)
	}
	part := path + ".part"
	out, err := os.OpenFile(part, os.O_WRONLY|os.O_CREATE|os.O_TRUNC, 0o600)
	if err != nil {
		return fmt.Errorf("%s cannot be made: %w", path, err)
	}
	err = write(out)
	if err == nil {
		err = out.Sync()
	}
	if closed := out.Close(); err == nil {
		err = closed
	}
	if err == nil {
		err = os.Rename(part, path)
	}
	if err != nil {
		_ = os.Remove(part) // it is of no use
	}
	return err
}

// importCommand takes an exported package in.
func importCommand() *cobra.Command {
	var data string
	var try, begin bool
	cmd := &cobra.Command{
		Use:   "import IN.zip",
		Short: "Take in what is new in an exported package, all of it or nothing; --try only says what that would be",
		Args:  cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			in, err := os.Open(args[0])
			if err != nil {
				return fmt.Errorf("%s cannot be read: %w", args[0], err)
			}
			defer in.Close() //nolint:errcheck // it was only read
			info, err := in.Stat()
			if err != nil {
				return err
			}
			how := []store.Option{store.Existing} // a slip in its name makes no second book
			if begin {
				how = nil
			}
			b, kept, err := opened(cmd, data, how...)
			if err != nil {
				return err
			}
			defer kept.Close() //nolint:errcheck // every write is committed by then
			took, err := importFrom(cmd.Context(), b, try, in, info.Size(), steps(cmd, "rows and sittings"))
			if err != nil {
				return err
			}
			var out strings.Builder
			for _, t := range append(took.Tables, took.Logs) {
				fmt.Fprintf(&out, "%-14s %7d new %7d the same %7d different", t.Name, t.New, t.Same, t.Different)
				if t.Different > 0 {
					fmt.Fprintf(&out, " (the book keeps its own: %v)", t.DifferentNames)
				}
				fmt.Fprintln(&out)
			}
			switch {
			case took.Nothing():
				fmt.Fprintln(&out, "Nothing in it is new.")
			case took.Backup != "":
				fmt.Fprintf(
					&out,
					"Taken in. The book as it was before: fribbet restore %s/%s\n",
					kept.BackupPlace(),
					took.Backup,
				)
			}
			return tell(cmd, took, "%s", out.String())
		},
	}
	dataFlag(cmd, &data)
	cmd.Flags().BoolVar(&begin, "new", false, "begin a new book where there is none yet")
	cmd.Flags().BoolVar(&try, "try", false, "only say what would be taken in")
	return cmd
}

func importFrom(
	ctx context.Context,
	b *book.Book,
	try bool,
	in io.ReaderAt,
	size int64,
	progress book.Steps,
) (book.ImportResult, error) {
	if try {
		return b.TryImport(ctx, in, size, progress)
	}
	return b.Import(ctx, in, size, progress)
}
