<?php

// Tokens of loggers alone: the page has a session of its own, and no door of the package is needed.
return [
    'stateful' => [],
    'guard' => [],
    'expiration' => null,
    'token_prefix' => '',
    'routes' => false,
];
