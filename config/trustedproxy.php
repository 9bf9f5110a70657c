<?php

// Who may say for whom they ask (X-Forwarded-For, X-Forwarded-Proto): addresses or networks, with commas between them; nobody by default.
return ['proxies' => array_values(array_filter(array_map(trim(...), explode(',', (string) env('NOBLE_TURN_PROXIES', '')))))];
