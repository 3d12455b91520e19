# Two commands do everything: `make demo` and `make test`.
LISTEN ?= 127.0.0.1:8642
GO ?= go
REVISION = $(shell git describe --tags --always --dirty 2>/dev/null || echo unknown)
PACKAGES = ./cmd/... ./internal/... ./e2e/... ./web

.PHONY: demo build test quick short check check-go check-web format generate generated-fresh web unit simulate e2e drive bench load pages chromium screenshots release mutate clean

demo: build
	@bin/fribbet demo --listen $(LISTEN)

build: web
	$(GO) build -trimpath -ldflags "-X main.revision=$(REVISION)" -o bin/fribbet ./cmd/fribbet

# The front end, built into web/dist, from where the program embeds it.
web: web/dist/index.html

web/node_modules: web/package.json web/package-lock.json
	cd web && npm ci --no-audit --no-fund
	@touch $@

# The licences of what is shipped go along: the program shows them at /licences.txt.
web/public/licences.txt: go.mod web/package-lock.json scripts/licences | web/node_modules
	scripts/licences > $@.part && mv $@.part $@

web/dist/index.html: web/node_modules web/public/licences.txt $(shell find web/src web/public -type f) web/index.html web/vite.config.ts
	cd web && npm run build

# Everything that CI holds to, two things at once: a browser waits more than it works.
test: chromium web/node_modules
	@$(MAKE) --no-print-directory -j2 --output-sync=target build generated-fresh
	@$(MAKE) --no-print-directory -j2 --output-sync=target drive check-go check-web unit

check: check-go check-web

check-go:
	$(GO) tool -modfile=tools/go.mod golangci-lint run $(PACKAGES) ./scripts/...

check-web: web/node_modules
	cd web && npm run check

# Lays everything out as `make check` wants it.
format: web/node_modules
	$(GO) tool -modfile=tools/go.mod golangci-lint fmt ./cmd/... ./internal/... ./e2e/... ./scripts/... ./web
	cd web && npx prettier --write --log-level warn .

# While one works. It leaves out the simulations, the browser and the pictures, which `make test` has, and it
# does not lint again a file of the web that has not changed.
quick:
	@LINT="--cache --cache-location node_modules/.cache/eslint" \
		$(MAKE) --no-print-directory -j2 --output-sync=target check-web check-go short

short:
	$(GO) test -short -vet=off ./cmd/... ./internal/...

# Without vet, which `make check` has.
unit:
	$(GO) test -vet=off -timeout 30m ./cmd/... ./internal/...

# Every row of the pages of figures in docs/: `make test` works out every fifth.
simulate:
	FRIBBET_ROWS=all $(GO) test -count=1 -timeout 60m ./internal/core/... ./internal/phototest

e2e: build
	@$(MAKE) --no-print-directory drive

# The program that is built, driven through its interface; BROWSERS=2 drives two of its tests at once, which is quicker
# and, beside all else on two processors, less sure.
BROWSERS ?= 1
drive:
	FRIBBET_BIN=$(CURDIR)/bin/fribbet $(GO) test -count=1 -parallel $(BROWSERS) -timeout 60m ./e2e/...

# Which small changes of the core no test notices: N of each package, by chance; N=60 is a night's work.
N ?= 12
mutate:
	$(GO) run ./scripts/mutate -n $(N) $$(ls -d internal/core/*/)

# The program for others: static files, licences, what it is made of, checksums, in dist/.
release: web
	scripts/release

# How fast it is, told in docs/benchmarks.md; the large book takes a minute to build.
bench: web
	place=$$(mktemp -d); FRIBBET_LARGE=$$place $(GO) test -run NONE -bench . -timeout 30m ./internal/...; rm -r $$place

# How fast it is through HTTP, told there too: four clients for two minutes on the large book. PLACE=DIRECTORY keeps
# the book for the next time; making it takes five minutes.
load: build
	$(GO) run ./cmd/load -program bin/fribbet $(if $(PLACE),-place $(PLACE))

# How the pages of the table start on a slow phone, beside an empty page built the same way; told there too.
pages: build chromium
	place=$$(mktemp -d); cd web && npx vite build --config bare/vite.config.ts --outDir $$place --logLevel warn && cd .. && \
		FRIBBET_BARE=$$place FRIBBET_BIN=$(CURDIR)/bin/fribbet $(GO) test -run NONE -bench Pages -benchtime 1x ./e2e; rm -r $$place

# The contract's two sides, generated from openapi.yaml.
generate: web/node_modules
	$(GO) tool oapi-codegen -config internal/api/contract/config.yaml -o internal/api/contract/contract.gen.go openapi.yaml
	cd web && npx openapi-typescript ../openapi.yaml -o src/api/schema.d.ts

generated-fresh: web/node_modules
	scripts/generated-fresh

chromium:
	scripts/chromium

# Current pictures of the main views from the demo data, for docs/screenshots.
screenshots: build chromium
	FRIBBET_BIN=$(CURDIR)/bin/fribbet FRIBBET_SCREENSHOTS=$(CURDIR)/docs/screenshots $(GO) test -count=1 -run TestScreenshots ./e2e/...

clean:
	rm -rf bin web/node_modules web/dist/assets web/dist/index.html web/dist/mark.svg
