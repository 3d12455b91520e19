package api

import (
	"errors"
	"fmt"
	"net/http"
	"regexp"
	"strings"

	"github.com/getkin/kin-openapi/openapi3"
	"github.com/getkin/kin-openapi/openapi3filter"
	"github.com/getkin/kin-openapi/routers/gorillamux"
	"github.com/gin-gonic/gin"
	"github.com/google/uuid"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
)

func init() {
	openapi3.DefineStringFormatValidator("date", openapi3.NewCallbackValidator(func(text string) error {
		_, err := date.Parse(text)
		return err
	}))
	openapi3.DefineStringFormatValidator("uuid", openapi3.NewCallbackValidator(uuid.Validate))
}

// validator refuses requests that do not keep to the contract.
func validator() (gin.HandlerFunc, error) {
	spec, err := contract.GetSpec()
	if err != nil {
		return nil, err
	}
	spec.Servers = nil // any address that reaches us will do
	router, err := gorillamux.NewRouter(spec)
	if err != nil {
		return nil, err
	}
	return func(c *gin.Context) {
		route, params, err := router.FindRoute(c.Request)
		if err == nil {
			err = openapi3filter.ValidateRequest(c.Request.Context(), &openapi3filter.RequestValidationInput{
				Request: c.Request, PathParams: params, Route: route,
				Options: &openapi3filter.Options{MultiError: true, SkipSettingDefaults: true, ExcludeRequestBody: c.FullPath() == importPath},
			})
		}
		var tooLarge *http.MaxBytesError
		switch {
		case err == nil:
		case errors.As(err, &tooLarge):
			refuse(c, err)
		default:
			faults := faultsOf(err)
			faults = faults[:min(len(faults), mostProblems)]
			write(c, problem(http.StatusBadRequest, "Nothing was written: "+faults.Error(), faults...))
		}
	}, nil
}

// faultsOf names the fields in a validation error.
func faultsOf(err error) fault.Fields {
	var many openapi3.MultiError
	var one *openapi3.SchemaError
	var request *openapi3filter.RequestError
	var parse *openapi3filter.ParseError
	switch {
	case errors.As(err, &request) && request.Parameter != nil:
		return fault.Fields{{Name: request.Parameter.Name, Value: "what stands in the address", Want: wanted(request.Parameter)}}
	case errors.As(err, &many):
		var all fault.Fields
		for _, e := range many {
			all = append(all, faultsOf(e)...)
		}
		return all
	case errors.As(err, &one):
		return fault.Fields{schemaFault(one)}
	case errors.As(err, &parse):
		return fault.Fields{{Name: "body", Value: "something else", Want: "must be JSON: " + parse.Error()}}
	default:
		return fault.Fields{{Name: "body", Value: "nothing, or another kind", Want: "must be one JSON object, with Content-Type application/json"}}
	}
}

// wanted says in words what a parameter of the address must be.
func wanted(p *openapi3.Parameter) string {
	if p.Schema == nil || p.Schema.Value == nil {
		return "must be given"
	}
	switch s := p.Schema.Value; {
	case s.Format == "uuid":
		return "must be the id of a dog, a trim or a piece of kit"
	case len(s.Enum) > 0:
		return "must be one of " + strings.Trim(fmt.Sprint(s.Enum), "[]")
	case s.Type.Is("integer") && s.Min != nil && s.Max != nil:
		return fmt.Sprintf("must be a whole number from %g to %g", *s.Min, *s.Max)
	case s.Type.Is("integer"):
		return "must be a whole number, 0 or more"
	case s.Type.Is("number"):
		return "must be a number"
	case s.Type.Is("boolean"):
		return "must be true or false"
	case s.Type.Is("array"):
		return "must be numbers, each as its own " + p.Name
	default:
		return "must be written otherwise"
	}
}

// named finds the property in the validator's words on one that is missing or unknown.
var named = regexp.MustCompile(`property "([^"]*)" is (missing|unsupported)`)

func schemaFault(e *openapi3.SchemaError) fault.Field {
	path := e.JSONPointer()
	f := fault.Field{Value: shown(e.Value), Want: e.Reason}
	hit := named.FindStringSubmatch(e.Reason)
	switch {
	case hit != nil && hit[2] == "unsupported":
		path, f.Value, f.Want = append(path, hit[1]), "an unknown field", "is no field here: leave it out"
	case hit != nil:
		if len(path) == 0 || path[len(path)-1] != hit[1] {
			path = append(path, hit[1])
		}
		f.Value, f.Want = "nothing", "must be given"
	case e.SchemaField == "nullable":
		f.Value, f.Want = "null", "must be given, or left out where it may be"
	case e.SchemaField == "enum":
		f.Want = "must be one of " + strings.Trim(fmt.Sprint(e.Schema.Enum), "[]")
	case e.SchemaField == "type":
		f.Want = "must be of type " + strings.Join(e.Schema.Type.Slice(), " or ")
	case e.SchemaField == "format" && e.Schema.Format == "uuid":
		f.Want = "must be an id, as xxxxxxxx-xxxx-4xxx-8xxx-xxxxxxxxxxxx"
	case e.SchemaField == "format" && e.Schema.Format == "date-time":
		f.Want = "must be an instant, as 2026-11-24T09:30:00Z"
	case e.SchemaField == "format" && e.Schema.Format == "date":
		f.Want = "must be a date that the calendar has, YYYY-MM-DD"
	}
	f.Name = fieldName(path)
	return f
}

// shown is a refused value as a person would write it.
func shown(value any) string {
	switch v := value.(type) {
	case map[string]any:
		return "an object"
	case []any:
		return fmt.Sprintf("a list of %d", len(v))
	case nil:
		return "nothing"
	default:
		return fault.Short(fmt.Sprint(v))
	}
}

// fieldName writes a path as the contract's users do: nails[0].gap_mm.
func fieldName(path []string) string {
	var name strings.Builder
	for _, step := range path {
		switch {
		case strings.Trim(step, "0123456789") == "":
			name.WriteString("[" + step + "]")
		case name.Len() > 0:
			name.WriteString("." + step)
		default:
			name.WriteString(step)
		}
	}
	if name.Len() == 0 {
		return "body"
	}
	return name.String()
}
