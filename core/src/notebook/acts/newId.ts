import type { RunId, SubjectId } from '../../ids'

/** Makes an identity for a new subject or run; whoever acts brings it, since the core draws nothing at random. */
export type NewId = <T extends SubjectId | RunId>() => T
