<?php

return [
    // Classes of rule packs beside those that ship with the core, separated by commas: docs/adding.md says how one is written.
    'brought' => array_values(array_filter(array_map(trim(...), explode(',', (string) env('NOBLE_TURN_PACKS', ''))))),
];
