import { readGame } from '../engine/engine.ts'
import './style.css'
import { orThrow, showTable } from './table.ts'

// the game is a file beside the page: replace it by another, and that is played
const file = await fetch('game.json')
const game = orThrow(readGame(await file.text()))
document.title = game.title
showTable(document.getElementById('table')!, game)
