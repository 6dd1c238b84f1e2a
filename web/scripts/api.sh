#!/usr/bin/env bash
# Writes the API's document as the server gives it, the front end's types from it, and the schema of vehicle files.
set -euo pipefail
cd "$(dirname "$0")/../.."
ABRI_WRITE_OPENAPI=1 dotnet test tests/Abri.Exchange.Tests -c Release --filter FullyQualifiedName~VehicleBundle -v q --nologo
ABRI_WRITE_OPENAPI=1 dotnet test tests/Abri.Server.Tests -c Release --filter OpenApiTests -v q --nologo
cd web && npm run --silent api
