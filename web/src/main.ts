import '@fontsource-variable/atkinson-hyperlegible-next'
import '@fontsource-variable/besley'
import { mount } from 'svelte'
import './app.css'
import './parts/theme.svelte'
import App from './App.svelte'

const target = document.getElementById('app')
if (!target) throw new Error('The page has no place for the application.')

export default mount(App, { target })
