#!/bin/sh
# Draws the pages that comparing is tried on, with Ghostscript, ImageMagick and cjpeg's ways of keeping colours; they are kept here as they came.
set -eu
cd "$(dirname "$0")"
drawn() { # name, pixels right, pixels down: drawn eight times as large and averaged, so that parts of a pixel are exact
  x=$(awk "BEGIN { print $2 * 0.72 }"); y=$(awk "BEGIN { print -($3) * 0.72 }")
  sed "s|/moveX 0 def|/moveX $x def|; s|/moveY 0 def|/moveY $y def|" page.ps |
    gs -q -dNOPAUSE -dBATCH -dSAFER -sDEVICE=png16m -r800 -sOutputFile=large.png -
  convert large.png -filter Box -resize 12.5% -colors 255 +dither "PNG8:$1.png" && rm large.png
}
drawn page 0 0
drawn page-right-0.125 0.125 0
drawn page-right-0.5-down-0.5 0.5 0.5
drawn page-right-6.375-down--11.25 6.375 -11.25
convert page.png -virtual-pixel edge -filter Catrom -distort SRT '0,0 1 0 0.3,-0.65' -colors 255 +dither PNG8:page-redrawn-0.3--0.65.png
convert page.png -quality 85 -sampling-factor 2x2 page-colours-halved.jpg
convert page.png -quality 85 -sampling-factor 2x1 page-colours-halved-across.jpg
convert page.png -quality 85 -sampling-factor 1x1 page-colours-whole.jpg
convert page.png -fill '#14706A' -draw 'rectangle 400,655 423,678' PNG8:patch-before.png
convert page.png -fill '#1A7972' -draw 'rectangle 400,655 423,678' -quality 85 -sampling-factor 2x2 patch-after.jpg
convert page.png -crop 440x600+30+60 +repage PNG8:page-cut.png
convert page.png -gravity north -background '#F6F5EF' -splice 0x90 PNG8:page-higher.png
convert page.png -resize 60% page-smaller.png
convert page.png -fill none -stroke '#A8321F' -draw 'rectangle 0,0 499,693' PNG8:page-framed.png
gs -q -dNOPAUSE -dBATCH -dSAFER -sDEVICE=pdfwrite -dCompatibilityLevel=1.6 -sOutputFile=words.pdf words.ps
for turn in 90 180 270; do qpdf --rotate=+$turn words.pdf words-turned-$turn.pdf; done
for pdf in words*.pdf; do pdftotext -bbox "$pdf" "${pdf%.pdf}.html"; done
