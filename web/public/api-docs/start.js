// The contract as a page to be read; nothing is sent from it.
window.SwaggerUIBundle({
  url: '/api/openapi.json',
  dom_id: '#reference',
  supportedSubmitMethods: [],
  defaultModelsExpandDepth: 0,
  docExpansion: 'list',
  validatorUrl: null,
})
