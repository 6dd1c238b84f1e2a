#!/usr/bin/env bash
# Parts the one large typeface of Chinese, Japanese and Korean into files below 1 MB, each a range of letters, because the repository
# keeps no larger ones. Run once by hand, with Debian's fonttools and fonts-wqy-microhei:
#   ./split.sh /usr/share/fonts/truetype/wqy/wqy-microhei.ttc
set -euo pipefail
cd "$(dirname "$0")"
part=0
for range in U+0000-33FF,U+A000-ABFF,U+F900-FFFF U+3400-56FF U+5700-64FF U+6500-71FF U+7200-7EFF U+7F00-8CFF U+8D00-9FFF U+AC00-D7FF; do
  part=$((part + 1))
  pyftsubset "$1" --font-number=0 --unicodes="$range" --layout-features='*' --no-hinting --output-file="WenQuanYiMicroHei-$part.ttf"
done
