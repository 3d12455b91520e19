package formats

import (
	"bytes"
	"image"
	"image/jpeg"
	"testing"
	"unicode/utf8"
)

// Whatever somebody gives for a list, a package or a picture is read or refused, and nothing of it breaks the program.
// `go test -fuzz FuzzList ./internal/formats` looks for what does; the seeds run with every test.

func FuzzList(f *testing.F) {
	for _, seed := range []string{"", "Name,Dog\nA,B\n", "\"a\"\"b\";c\r\n1;2", "\xEF\xBB\xBFa\tb\n1\t2\n", "\xFF\xFEa\x00,\x00b\x00\n\x00", "PK\x03\x04"} {
		f.Add([]byte(seed))
	}
	f.Fuzz(func(t *testing.T, text []byte) {
		list, err := ReadList(text)
		if err != nil {
			return
		}
		if len(list.Rows) > MostRows || len(list.Lines) != len(list.Rows) {
			t.Fatalf("%d rows, %d lines", len(list.Rows), len(list.Lines))
		}
		for _, row := range list.Rows {
			for _, cell := range row {
				if !utf8.ValidString(cell) {
					t.Fatalf("%q is no text", cell)
				}
			}
		}
	})
}

func FuzzPackage(f *testing.F) {
	f.Add([]byte("PK\x05\x06" + string(make([]byte, 18))))
	f.Add([]byte("no ZIP"))
	f.Fuzz(func(_ *testing.T, data []byte) {
		_, _ = ReadPackage(bytes.NewReader(data), int64(len(data))) // refused or read: it must not break
	})
}

func FuzzPicture(f *testing.F) {
	var small bytes.Buffer
	if err := jpeg.Encode(&small, image.NewRGBA(image.Rect(0, 0, 8, 8)), nil); err != nil {
		f.Fatal(err)
	}
	f.Add(small.Bytes())
	f.Add(small.Bytes()[:small.Len()/2])
	f.Add([]byte("RIFF\x00\x00\x00\x00WEBPVP8 "))
	f.Fuzz(func(t *testing.T, data []byte) {
		p, err := ReadPicture(data)
		if err == nil && (p.Width < 1 || p.Height < 1 || len(p.JPEG) == 0) {
			t.Fatalf("%d by %d pixels", p.Width, p.Height)
		}
	})
}
