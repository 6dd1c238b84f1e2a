#!/usr/bin/env bash
# Writes the API's document as the server gives it, and the front end's types from it.
set -euo pipefail
cd "$(dirname "$0")/../.."
ABRI_WRITE_OPENAPI=1 dotnet test tests/Abri.Server.Tests --filter OpenApiTests -v q --nologo
cd web && npm run --silent api
