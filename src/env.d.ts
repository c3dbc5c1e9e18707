declare namespace App {
  interface Locals {
    /** Of this response alone: lets a style of the page through its content security policy. */
    styleNonce: string
  }
}
