import 'bootstrap-vue-next'

// Our two kinds of button stand beside Bootstrap's.
declare module 'bootstrap-vue-next' {
  interface BaseButtonVariant {
    go: unknown
    plain: unknown
  }
}
