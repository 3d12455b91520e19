package contract

import (
	"testing"

	"github.com/getkin/kin-openapi/openapi3"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The contract is one by the OpenAPI specification: no field that is none, such as the rest of a description that a
// comma cut, no reference to nothing, examples that fit; and every operation is sorted under a subject.
func TestTheContractIsValid(t *testing.T) {
	loader := openapi3.NewLoader()
	doc, err := loader.LoadFromFile("../../../openapi.yaml")
	require.NoError(t, err)
	require.NoError(t, doc.Validate(t.Context()))
	subjects := map[string]bool{}
	for _, tag := range doc.Tags {
		subjects[tag.Name] = true
	}
	for path, item := range doc.Paths.Map() {
		for method, operation := range item.Operations() {
			require.Len(t, operation.Tags, 1, "%s %s", method, path)
			assert.True(t, subjects[operation.Tags[0]], "%s %s: %s", method, path, operation.Tags[0])
			assert.NotEmpty(t, operation.OperationID, "%s %s", method, path)
		}
	}
}
