<?php

namespace App\Installation;

enum Kind: string
{
    case Demo = 'demo';
    case Own = 'own';
}
