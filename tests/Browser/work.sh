#!/usr/bin/env bash
# One who takes files in the background, beside the server of a worker of the browser tests.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/env.sh"
exec build/work.sh
