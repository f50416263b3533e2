<?php

declare(strict_types=1);

// Prints the text of a PDF, as somebody who selects it would get it.

require __DIR__.'/../../vendor/autoload.php';

echo (new Smalot\PdfParser\Parser)->parseFile($argv[1])->getText();
